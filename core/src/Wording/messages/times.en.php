<?php

declare(strict_types=1);

// When something is so, in English, as patterns of ICU MessageFormat.
return [
    'always' => 'always',
    'day' => 'on {date}',
    'days' => 'on {count}{other, select, yes { other} other {}} days, the first on {date}',
    'season' => '{when} from {from} to {to}',
    'more' => 'and {count} more',
    'daily' => 'daily',
    'all-day' => '{days} all day',
    'until-day' => '{days} {from} until {last} {to}',
];
