<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'It goes on in {journey}{comesBack, select, yes {, and comes back} other {}}.',
    'fr' => 'L’appel continue dans {journey}{comesBack, select, yes {, puis revient} other {}}.',
];
