<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\EndsWith;
use Meandros\Core\Plan\Expected\Hears;
use Meandros\Core\Plan\Expected\HearsNever;
use Meandros\Core\Plan\Expected\IsOverWithin;
use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Plan\Expected\Rings;
use Meandros\Core\Plan\Expected\RingsNever;
use Meandros\Core\Proof\Course;

/** Who tells whether a promise is kept, by its kind. */
final class Keepings
{
    /** @return array<class-string<Promise>, Keeping<covariant Promise>> */
    public static function all(): array
    {
        return [
            Rings::class => new RingsKept(),
            RingsNever::class => new RingsNeverKept(),
            Hears::class => new HearsKept(),
            HearsNever::class => new HearsNeverKept(),
            EndsWith::class => new EndsWithKept(),
            IsOverWithin::class => new IsOverWithinKept(),
        ];
    }

    public static function keeps(Promise $promise, Course $course): bool
    {
        /** @var Keeping<Promise> $keeping the one of its kind */
        $keeping = self::all()[$promise::class];

        return $keeping->isKept($promise, $course);
    }
}
