<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'Callers hear {prompt}.',
    'fr' => 'Les appelants entendent {prompt}.',
];
