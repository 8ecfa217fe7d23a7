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
    'since' => 'from {moment} on',
    'until' => 'until {moment}',
    'rule.in' => 'in the times of the rule {rule} of {person}',
    'rule.out' => 'outside the times of the rule {rule} of {person}',
    'until-day' => '{days} {from} until {last} {to}',
];
