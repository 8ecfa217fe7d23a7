<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'Back to the menu, {up, select, 1 {} other {{up} levels up}}.',
    'fr' => 'Retour au menu, {up, select, 1 {} other {{up} niveaux plus haut}}.',
];
