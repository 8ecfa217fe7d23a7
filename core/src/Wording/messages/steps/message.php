<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'Callers leave a message with {mailbox}.',
    'fr' => 'Les appelants laissent un message dans {mailbox}.',
];
