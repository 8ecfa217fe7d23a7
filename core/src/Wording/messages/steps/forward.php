<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'The call goes on to {number}.',
    'fr' => 'L’appel continue vers {number}.',
];
