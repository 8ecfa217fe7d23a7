<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'Callers wait in {queue}.',
    'fr' => 'Les appelants attendent dans {queue}.',
];
