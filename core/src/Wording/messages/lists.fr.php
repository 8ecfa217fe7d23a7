<?php

declare(strict_types=1);

// How words are put one beside the other, in French, as patterns of ICU MessageFormat.
return [
    'and' => '{before} et {last}',
    'or' => '{before} ou {last}',
    'then' => '{before}, puis {last}',
    'beside' => "{before}\u{a0}; {last}",
    'more' => '{before} et {count} de plus',
    'labelled' => "{label}\u{a0}: {value}",
    'quoted' => "«\u{a0}{text}\u{a0}»",
];
