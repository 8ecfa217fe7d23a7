<?php

declare(strict_types=1);

// When something is so, in French, as patterns of ICU MessageFormat.
return [
    'always' => 'toujours',
    'day' => 'le {date}',
    'days' => '{other, select, yes {{count} autres jours} other {{count} jours}}, le premier le {date}',
    'season' => '{when} du {from} au {to}',
    'more' => 'et {count} de plus',
    'daily' => 'tous les jours',
    'all-day' => '{days} toute la journée',
    'since' => 'à partir du {moment}',
    'until' => 'jusqu’au {moment}',
    'rule.in' => 'aux heures de la règle {rule} de {person}',
    'rule.out' => 'en dehors des heures de la règle {rule} de {person}',
    'until-day' => '{days} {from} jusqu’à {last} {to}',
];
