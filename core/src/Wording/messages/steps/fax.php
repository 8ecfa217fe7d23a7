<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'A fax is heard for {seconds} s; documents go to {mailbox}.',
    'fr' => "On écoute pendant {seconds} s si c’est un fax\u{a0}; les documents vont dans {mailbox}.",
];
