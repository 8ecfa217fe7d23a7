<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' =>
        '{target} rings for {seconds} s{againMinutes, select, 0 {} other {, again and again for {againMinutes} min}}{handOver, select, yes {, and the call stays with them} other {}}.',
    'fr' =>
        '{target} sonne pendant {seconds} s{againMinutes, select, 0 {} other {, encore et encore pendant {againMinutes} min}}{handOver, select, yes {, et l’appel lui reste} other {}}.',
];
