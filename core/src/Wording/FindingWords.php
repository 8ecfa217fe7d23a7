<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Silence;
use Meandros\Core\Time\CivilDate;

/** What is found, in words. */
final class FindingWords
{
    public static function message(Finding $finding): string
    {
        return self::say($finding->code, $finding->arguments);
    }

    public static function remedy(Finding $finding): string
    {
        return self::say($finding->code . '.remedy', $finding->arguments);
    }

    /** The label of what would mend it; null where no one thing would. */
    public static function fix(Finding $finding): ?string
    {
        return null === $finding->fix
            ? null
            : self::say($finding->code . '.fix', $finding->fix->arguments + $finding->arguments);
    }

    /** @param array<string, string|int> $arguments dates and local times among them as they stand in plans */
    private static function say(string $code, array $arguments): string
    {
        $words = array_map(
            static fn(string|int $one): string|int => 1 ===
            preg_match('/^(\d{4}-\d\d-\d\d)(?:T(\d\d:\d\d)(?::00)?)?$/D', (string) $one, $part)
                ? trim(When::date((int) CivilDate::parse($part[1])) . ' ' . ($part[2] ?? ''))
                : $one,
            $arguments,
        );

        return Catalog::of('findings')->say($code, $words);
    }

    /**
     * @param Silence|null $silence where nobody wants to read of it
     *
     * @return array<string, mixed>
     */
    public static function report(Finding $finding, ?Silence $silence = null): array
    {
        return [
            'id' => $finding->element->id(),
            'kind' => $finding->element->kind()->value,
            'name' => $finding->element->name(),
            'blocks' => $finding->blocksPublishing,
            'pointer' => $finding->pointer,
            'code' => $finding->code,
            'detail' => self::message($finding),
            'remedy' => self::remedy($finding),
            'silenced' =>
                null === $silence ? null : array_intersect_key($silence->toJson(), ['reason' => 1, 'until' => 1]),
            'fix' =>
                null === $finding->fix
                    ? null
                    : [
                        'label' => self::fix($finding),
                        'element' => $finding->fix->element,
                        'patch' => $finding->fix->patch,
                    ],
        ];
    }
}
