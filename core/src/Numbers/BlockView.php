<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;

/** The numbers of a block, one by one: whose each is, which stand alone, and which are free. */
final class BlockView
{
    public const PERSON = 'person';
    public const EXCEPTION = 'exception';
    public const FREE = 'free';

    /**
     * @return list<array{number: string, international: string, extension: string|null, how: string, leads: string|null}> `leads` is the
     *                                                                                                                     id of the person, of the exception's number, or null
     */
    public static function of(Plan $plan, Number $number): array
    {
        $rows = [];
        $block = $number->range->block;
        $plan->foresee($block?->dialled() ?? []);
        foreach ($block?->numbers() ?? [] as $one) {
            $taker = $plan->dialled($one);
            $extension = $block?->extensionOf($one);
            $person = null === $extension ? null : $plan->dialled($extension);
            [$how, $leads] = match (true) {
                $taker instanceof Number && $taker->id() !== $number->id() => [self::EXCEPTION, $taker->id()],
                $person instanceof Person => [self::PERSON, $person->id()],
                default => [self::FREE, null],
            };
            $rows[] = [
                'number' => $one,
                'international' => PhoneNumber::international($one),
                'extension' => $extension,
                'how' => $how,
                'leads' => $leads,
            ];
        }

        return $rows;
    }
}
