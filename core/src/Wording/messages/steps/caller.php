<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'It depends on who calls.',
    'fr' => 'Selon l’appelant.',
];
