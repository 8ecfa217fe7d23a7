<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'The call ends.',
    'fr' => 'L’appel se termine.',
];
