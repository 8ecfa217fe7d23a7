<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'The call waits at a park place of {site} for up to {seconds} s.',
    'fr' => 'L’appel attend à une place de {site}, {seconds} s au plus.',
];
