<?php

declare(strict_types=1);

// What is promised of calls, in English, as patterns of ICU MessageFormat.
return [
    'calls' =>
        'Calls to {to}{from, select, anybody {} other { from {from}}}{keys, select, any {} none {, where nothing is pressed} other {, with key {keys} pressed}}',
    'any-number' => 'any number',
    'own-numbers' => '{person}’s own number',
    'always' => 'always',
    'open' => 'while {hours} are open',
    'states' => 'while {hours} are {states}',
    'holidays' => 'on holidays of {calendar}',
    'rings' =>
        'ring {who, select, somebody {somebody} other {{who}}}{within, select, whenever {} other { within {within}}}',
    'never rings' => 'never ring {who, select, somebody {anybody} other {{who}}}',
    'hears' => 'hear “{prompt}”',
    'never hears' => 'never hear “{prompt}”',
    'ends with' => 'never end without {outcomes}',
    'is over within' => 'keep nobody longer than {seconds} where nobody answers',
    'outcome.person' => 'somebody who answers',
    'outcome.message' => 'a message',
    'outcome.outside' => 'a number outside',
    'outcome.announcement' => 'an announcement',
];
