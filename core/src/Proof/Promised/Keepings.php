<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Call\Behaviour;
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

    /** @return list<Behaviour> besides ringing on: what all phones may do, each by itself, so that it must be kept all the same */
    public static function phones(Promise $promise): array
    {
        return self::of($promise)->isWhateverPhonesDo()
            ? [Behaviour::Busy, Behaviour::Unreachable, Behaviour::Refuses]
            : [];
    }

    public static function keeps(Promise $promise, Course $course): bool
    {
        return self::of($promise)->isKept($promise, $course);
    }

    /** @return Keeping<Promise> */
    private static function of(Promise $promise): Keeping
    {
        /** @var Keeping<Promise> $keeping the one of its kind */
        $keeping = self::all()[$promise::class];

        return $keeping;
    }
}
