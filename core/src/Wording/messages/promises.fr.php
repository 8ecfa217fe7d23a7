<?php

declare(strict_types=1);

// What is promised of calls, in French, as patterns of ICU MessageFormat.
return [
    'calls' =>
        'Appels à {to}{from, select, anybody {} other { de {from}}}{keys, select, any {} none {, où rien n’est pressé} other {, où l’on presse la touche {keys}}}',
    'any-number' => 'n’importe quel numéro',
    'own-numbers' => 'la ligne directe de {person}',
    'always' => 'toujours',
    'open' => 'tant que {hours} est ouvert',
    'states' => 'tant que {hours} est à {states}',
    'holidays' => 'les jours fériés de {calendar}',
    'rings' =>
        'faire sonner {who, select, somebody {quelqu’un} other {{who}}}{within, select, whenever {} other { en {within} au plus}}',
    'never rings' => 'ne jamais faire sonner {who, select, somebody {qui que ce soit} other {{who}}}',
    'hears' => "faire entendre «\u{a0}{prompt}\u{a0}»",
    'never hears' => "ne jamais faire entendre «\u{a0}{prompt}\u{a0}»",
    'ends with' => 'ne jamais finir sans {outcomes}',
    'is over within' => 'ne retenir personne plus de {seconds} quand personne ne répond',
    'outcome.person' => 'quelqu’un qui répond',
    'outcome.message' => 'un message',
    'outcome.outside' => 'un numéro extérieur',
    'outcome.announcement' => 'une annonce',
];
