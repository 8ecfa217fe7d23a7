<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'It depends on {hours}.',
    'fr' => 'Selon {hours}.',
];
