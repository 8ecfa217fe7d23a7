<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;

/** What is wrong with given data, and how to mend it, in words. */
final class ProblemWords
{
    public static function message(Problem $problem): string
    {
        return Catalog::of('problems')->say($problem->code, self::arguments($problem));
    }

    /** Empty where nothing is to be said about it. */
    public static function remedy(Problem $problem): string
    {
        $words = Catalog::of('problems');
        $code = $problem->code . '.remedy';

        return $words->has($code) ? $words->say($code, self::arguments($problem)) : '';
    }

    public static function both(Problem $problem): string
    {
        return trim(self::message($problem) . ' ' . self::remedy($problem));
    }

    /** Every problem on a line of its own, with its place. */
    public static function all(InvalidData $invalid): string
    {
        return implode(
            "\n",
            array_map(
                static fn(Problem $problem): string => trim($problem->pointer . ' ' . self::both($problem)),
                $invalid->problems,
            ),
        );
    }

    /** @return array{pointer: string, code: string, detail: string, remedy: string} */
    public static function report(Problem $problem): array
    {
        return [
            'pointer' => $problem->pointer,
            'code' => $problem->code,
            'detail' => self::message($problem),
            'remedy' => self::remedy($problem),
        ];
    }

    /** @return array<string, string|int> */
    private static function arguments(Problem $problem): array
    {
        return array_map(
            static fn(string|int|array|Problem $argument): string|int => match (true) {
                $argument instanceof Problem => self::message($argument),
                \is_array($argument) => implode(', ', $argument),
                default => $argument,
            },
            $problem->arguments,
        );
    }
}
