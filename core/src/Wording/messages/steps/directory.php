<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'Callers spell a name; {prompt} asks for it, {tries, select, 1 {once} other {up to {tries} times}}.',
    'fr' =>
        "Les appelants épellent un nom\u{a0}; {prompt} le demande, {tries, select, 1 {une fois} other {{tries} fois au plus}}.",
];
