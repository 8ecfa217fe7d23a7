<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Reading\Input;

/** Every kind of promise, by its name in JSON. */
final class PromiseReader
{
    /** @var non-empty-array<string, class-string<Promise>> */
    public const ALL = [
        Rings::NAME => Rings::class,
        RingsNever::NAME => RingsNever::class,
        Hears::NAME => Hears::class,
        HearsNever::NAME => HearsNever::class,
        EndsWith::NAME => EndsWith::class,
        IsOverWithin::NAME => IsOverWithin::class,
    ];

    public static function read(Input $in): Promise
    {
        $name = $in->field('that')->exactText(20);
        if (!isset(self::ALL[$name])) {
            '' === $name ||
                $in
                    ->field('that')
                    ->complain('not-a-promise', ['that' => Input::quote($name), 'choices' => array_keys(self::ALL)]);

            return new Rings(null, null);
        }

        return self::ALL[$name]::fromJson($in);
    }
}
