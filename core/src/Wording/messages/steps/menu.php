<?php

declare(strict_types=1);

// What the step does, on paper.
return [
    'en' => 'Menu {prompt}: a key within {wait} s, {tries, select, 1 {once} other {up to {tries} times}}.',
    'fr' => "Menu {prompt}\u{a0}: une touche en {wait} s, {tries, select, 1 {une fois} other {{tries} fois au plus}}.",
];
