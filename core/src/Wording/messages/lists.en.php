<?php

declare(strict_types=1);

// How words are put one beside the other, in English, as patterns of ICU MessageFormat.
return [
    'and' => '{before} and {last}',
    'or' => '{before} or {last}',
    'then' => '{before}, then {last}',
    'beside' => '{before}; {last}',
    'more' => '{before} and {count} more',
    'labelled' => '{label}: {value}',
    'quoted' => '“{text}”',
];
