<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Routing\Happening\Dialled;
use Meandros\Core\Routing\InBlock;
use Meandros\Core\Time\CivilDate;

/** How a call comes to a number, in words. */
final readonly class NumberWords
{
    public function __construct(private Names $names) {}

    public function what(Dialled $dialled): string
    {
        $name = $this->names->of($dialled->element);

        return match (true) {
            $dialled->isTried => \sprintf('A call comes straight to %s', $name),
            null !== $dialled->inBlock => \sprintf(
                '%s of %s is dialled',
                PhoneNumber::international($dialled->inBlock->number),
                $name,
            ),
            default => \sprintf('%s is dialled', $name),
        };
    }

    public function because(Dialled $dialled): string
    {
        if ($dialled->isTried) {
            return 'It is tried as if a number of the first site led there.';
        }
        $target = null === $dialled->target ? null : $this->names->target($dialled->target);
        $sentences = [
            self::kept($dialled->keptUntil),
            null === $dialled->inBlock
                ? (null === $target
                    ? 'It has no target.'
                    : \sprintf('Its calls go to %s.', $target))
                : self::inBlock($dialled->inBlock, $target),
            $dialled->hidesCaller ? 'Its line delivers no numbers of callers.' : '',
        ];

        return implode(' ', array_filter($sentences, static fn(string $one): bool => '' !== $one));
    }

    private static function kept(?string $until): string
    {
        return null === $until
            ? ''
            : \sprintf('It was given up and is kept free until %s.', When::date((int) CivilDate::parse($until)));
    }

    private static function inBlock(InBlock $inBlock, ?string $target): string
    {
        return match (true) {
            null === $inBlock->extension => \sprintf('All of them go to %s.', $target ?? 'nobody yet'),
            !$inBlock->isFree => \sprintf('It is for extension %s, %s.', $inBlock->extension, $target),
            null === $target => \sprintf(
                'It is for extension %s, which nobody has, and free ones lead nowhere.',
                $inBlock->extension,
            ),
            default => \sprintf(
                'It is for extension %s, which nobody has: free ones go to %s.',
                $inBlock->extension,
                $target,
            ),
        };
    }
}
