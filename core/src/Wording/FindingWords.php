<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Silence;

/** What is found, in words. */
final class FindingWords
{
    public static function message(Finding $finding): string
    {
        return Catalog::of('findings')->say($finding->code, $finding->arguments);
    }

    public static function remedy(Finding $finding): string
    {
        return Catalog::of('findings')->say($finding->code . '.remedy', $finding->arguments);
    }

    /** The label of what would mend it; null where no one thing would. */
    public static function fix(Finding $finding): ?string
    {
        return null === $finding->fix
            ? null
            : Catalog::of('findings')->say($finding->code . '.fix', $finding->fix->arguments + $finding->arguments);
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
