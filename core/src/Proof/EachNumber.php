<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\NumberRange;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\OwnNumber;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\InBlock;

/**
 * Blocks and beginnings taken apart, so that calls to all of their numbers are looked at: of a block for extensions each number that
 * leads to a person, and one that stands for those that lead to its target. Each is a number with the id of what it lies in.
 */
final class EachNumber
{
    private const DIGITS = '0123456789';

    /** @return list<Number> the number itself where it stands alone; none where others take all that it has */
    public static function of(Plan $plan, Number $number): array
    {
        $plan->foresee($number->range->block?->dialled() ?? []);

        return $number->range->isMany()
            ? [...self::toTarget($plan, $number), ...self::toPeople($plan, $number)]
            : [$number];
    }

    /** @return list<Number> one that leads to the number's target; none where there is none */
    public static function toTarget(Plan $plan, Number $number): array
    {
        if (!$number->range->isMany()) {
            return [$number];
        }
        foreach (self::dialled($number) as $dialled) {
            // Whose it is is known sooner than whether another number takes it.
            $isToTarget = !self::isSomebodys($plan, $number, $dialled) && self::isOf($plan, $number, $dialled);
            if ($isToTarget) {
                return [self::at($plan, $number, $dialled)];
            }
        }

        return [];
    }

    /** @return list<Number> those of blocks that lead to a person by the extension */
    public static function toPerson(Plan $plan, Person $person): array
    {
        $numbers = [];
        foreach (OwnNumber::blocksFor($plan, $person->known->extension) as $block) {
            $dialled = $block->range->block?->numberOf($person->known->extension);
            if (null !== $dialled && self::isOf($plan, $block, $dialled)) {
                $numbers[] = self::at($plan, $block, $dialled);
            }
        }

        return $numbers;
    }

    /** @return list<Number> all by which somebody is called straight: those that stand alone, and those of blocks */
    public static function straightTo(Plan $plan, Person $person): array
    {
        return [...OwnNumber::alone($plan, $person), ...self::toPerson($plan, $person)];
    }

    /** The number that takes what is dialled, by itself. */
    public static function in(Plan $plan, string $dialled): ?Number
    {
        $number = $plan->dialled($dialled);

        return $number instanceof Number ? self::at($plan, $number, $dialled) : null;
    }

    /**
     * What is dialled to come to a number's target in both of two plans: for each two numbers that take it there something.
     *
     * @param string $id of the number, in one of them or both
     *
     * @return list<string> E.164; none for one that stands alone
     */
    public static function toTargets(Plan $before, Plan $after, string $id): array
    {
        [$was, $is] = [$before->get(Number::class, $id), $after->get(Number::class, $id)];
        $areAlike = null !== $was && serialize($was->range) === serialize($is?->range);
        $found = [];
        foreach ($areAlike ? [$was] : array_filter([$was, $is]) as $number) {
            foreach ($number->range->isMany() ? self::dialled($number) : [] as $dialled) {
                // Whose it is is known sooner than which number takes it.
                $isSomebodys =
                    self::isSomebodys($before, $number, $dialled) || self::isSomebodys($after, $number, $dialled);
                if ($areAlike && $isSomebodys) {
                    continue;
                }
                $owners = [];
                foreach ([$before, $after] as $plan) {
                    $owner = $plan->dialled($dialled);
                    $owner instanceof Number &&
                        !self::isSomebodys($plan, $owner, $dialled) &&
                        ($owners[] = $owner->id());
                }
                if (2 === \count($owners)) {
                    $found[implode(' ', $owners)] ??= $dialled;
                }
                if ($areAlike && isset($found["$id $id"])) {
                    break;
                }
            }
        }

        return array_values($found);
    }

    /** @return list<Number> */
    private static function toPeople(Plan $plan, Number $number): array
    {
        $numbers = [];
        foreach ('' === $number->range->extension() ? [] : self::dialled($number) as $dialled) {
            if (self::isSomebodys($plan, $number, $dialled) && self::isOf($plan, $number, $dialled)) {
                $numbers[] = self::at($plan, $number, $dialled);
            }
        }

        return $numbers;
    }

    private static function at(Plan $plan, Number $number, string $dialled): Number
    {
        $inBlock = InBlock::of($plan, $number, $dialled);
        if (null === $inBlock) {
            return $number;
        }
        $isSomebodys = null !== $inBlock->extension && !$inBlock->isFree;
        $name = $number->name();

        return new Number(
            new About(
                $number->id(),
                $isSomebodys ? \sprintf('%s (%s)', $name, $plan->nameOf((string) $inBlock->target?->element)) : $name,
            ),
            new NumberRange($dialled, null),
            $number->line,
            $inBlock->target,
        );
    }

    private static function isSomebodys(Plan $plan, Number $number, string $dialled): bool
    {
        $extension = $number->range->block?->extensionOf($dialled);

        return null !== $extension && $plan->dialled($extension) instanceof Person;
    }

    /** Whether no number of its own takes it out of the block. */
    private static function isOf(Plan $plan, Number $number, string $dialled): bool
    {
        return $plan->dialled($dialled)?->id() === $number->id();
    }

    /** @return iterable<string> numbers of a block, E.164; of those that begin alike, some that are a digit longer */
    private static function dialled(Number $number): iterable
    {
        $block = $number->range->block;
        if (null !== $block) {
            return $block->numbers();
        }
        $beginning = substr($number->range->number, 0, -1);

        return array_map(static fn(string $digit): string => $beginning . $digit, str_split(self::DIGITS));
    }
}
