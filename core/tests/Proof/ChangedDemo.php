<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Ways\Remaining;
use Meandros\Core\Reading\InvalidData;

/** The demo plan with some of its settings drawn anew with mt_rand, and calls that differ a little from one of which more is known. */
final class ChangedDemo
{
    /** How often settings of a kind are drawn. */
    private const OFTEN = ['journey' => 8, 'person' => 4, 'team' => 4, 'queue' => 4, 'mailbox' => 1, 'prompt' => 1];
    private const NEVER = ['id', 'kind', 'do', 'name', 'label', 'note'];
    private const DOES = ['rings', 'answers', 'busy', 'unreachable', 'refuses'];

    /** @var list<array<string, mixed>> */
    private readonly array $elements;
    /** @var array<string, list<mixed>> what stands in fields of that name */
    private array $values = [];

    /** @param array<string, mixed> $demo */
    public function __construct(private readonly array $demo)
    {
        \assert(\is_array($demo['elements']));
        $this->elements = array_values($demo['elements']);
        array_map($this->collect(...), $this->elements);
    }

    /** @return array{Plan, TrialCall, non-empty-list<string>}|null a call that may come to something that was changed, and phones that it may come to; null where none does */
    public function drawn(): ?array
    {
        $elements = $this->elements;
        $plan = PlanCodec::fromData($this->demo);
        for ($left = mt_rand(1, 8); $left > 0; --$left) {
            do {
                $i = mt_rand(0, \count($elements) - 1);
            } while (mt_rand(1, 8) > (self::OFTEN[$elements[$i]['kind']] ?? 0));
            $changed = $this->changed($elements, $i);
            try {
                $plan = PlanCodec::fromData(['elements' => $changed] + $this->demo);
                $elements = $changed;
            } catch (InvalidData) {
                // It would not be taken.
            }
        }
        $isChanged = fn(string $id): bool => $plan->find($id)?->toJson() !==
            array_column($this->elements, null, 'id')[$id];
        $behind = static fn(Number $one): array => array_filter(
            array_keys((new Remaining($plan))->behindAll([$one->id()])),
            $plan->find(...),
        );
        $comes = static fn(Number $one): bool => [] !== array_filter($behind($one), $isChanged);
        $numbers = array_values(array_filter($plan->all(Number::class), $comes));
        if ([] === $numbers) {
            return null;
        }
        $number = self::oneOf($numbers);
        $people = array_filter(
            array_map(static fn(string $id): ?Person => $plan->get(Person::class, $id), $behind($number)),
        );
        $phones = array_merge(
            ['*'],
            ...array_map(static fn(Person $one): array => $one->phoneIds(), array_values($people)),
        );
        $instant = (int) gmmktime(mt_rand(7, 18), mt_rand(0, 59), 0, 11, mt_rand(23, 29), 2026);

        return [$plan, new TrialCall($number->range->number, Caller::parse('', 'GB'), $instant), $phones];
    }

    /** The demo plan with one element changed, of any kind as often as of another. */
    public function withOneChanged(): Plan
    {
        do {
            $kind = self::oneOf(array_values(array_unique(array_column($this->elements, 'kind'))));
            $i = self::oneOf(array_keys(array_column($this->elements, 'kind'), $kind, true));
            $changed = $this->changed($this->elements, $i);
            try {
                $plan =
                    $changed === $this->elements ? null : PlanCodec::fromData(['elements' => $changed] + $this->demo);
            } catch (InvalidData) {
                $plan = null;
            }
        } while (null === $plan);

        return $plan;
    }

    /** @param array<array-key, mixed> $in */
    private function collect(array $in): void
    {
        foreach ($in as $key => $value) {
            \is_string($key) && ($this->values[$key][] = $value);
            \is_array($value) && $this->collect($value);
        }
    }

    /**
     * @param list<array<string, mixed>> $elements
     *
     * @return list<array<string, mixed>>
     */
    private function changed(array $elements, int $i): array
    {
        $places = [];
        $at = &$elements[$i];
        // Down to a field, or to one further down.
        do {
            $fields = array_diff(array_keys($at), self::NEVER);
            if ([] === $fields) {
                return $elements;
            }
            $key = self::oneOf(array_values($fields));
            $places[] = $key;
            $at = &$at[$key];
        } while (\is_array($at) && [] !== $at && 0 !== mt_rand(0, 2));
        $key = array_filter($places, \is_string(...));
        $at = match (true) {
            \is_bool($at) => !$at,
            \is_int($at) => self::oneOf([$at + 1, max(0, $at - 1), intdiv($at, 2), $at * 2, mt_rand(0, 40)]),
            \is_array($at) && [] !== $at && 0 === mt_rand(0, 1) => array_is_list($at) ? \array_slice($at, 1) : $at,
            \is_int(end($places)) => $at,
            default => self::oneOf($this->values[end($key)]),
        };

        return $elements;
    }

    /**
     * @param array{keys: list<array{press: string, after: int|null}>, meanwhile: list<array{press: string, after: int|null}>, phones: list<array<string, mixed>>, queues: list<array<string, mixed>>} $by     as assumptions are stated
     * @param list<string>                                                                                                                                                                             $phones
     */
    public static function near(array $by, array $phones): Assumptions
    {
        for ($left = mt_rand(1, 3); $left > 0; --$left) {
            $press = self::oneOf(['keys', 'meanwhile']);
            switch (mt_rand(0, 3)) {
                case 0:
                case 1:
                    $does = self::oneOf(self::DOES);
                    $one = self::oneOf([...$by['phones'], ['who' => self::oneOf($phones), 'from' => 0]]);
                    $after = \in_array($does, ['answers', 'refuses'], true) ? mt_rand(0, 30) : null;
                    $from = max(0, $one['from'] + mt_rand(-1, 1));
                    $by['phones'][] = ['who' => $one['who'], 'does' => $does, 'after' => $after, 'from' => $from];
                    break;
                case 2:
                    $by[$press][mt_rand(0, \count($by[$press]))] = [
                        'press' => self::oneOf(['0', '1', '2', '3', '9', '#', '*', '201']),
                        'after' => mt_rand(0, 20),
                    ];
                    break;
                default:
                    foreach ($by['queues'] as &$queue) {
                        $queue[self::oneOf(['ahead', 'free', 'leaves', 'keeps'])] = mt_rand(0, 90);
                    }
            }
        }
        $said = [];
        foreach ($by['phones'] as $one) {
            $said[$one['who'] . ' ' . $one['from']] = $one;
        }

        return Assumptions::fromData(['phones' => array_values($said)] + $by);
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $choices
     *
     * @return T
     */
    private static function oneOf(array $choices): mixed
    {
        return $choices[mt_rand(0, \count($choices) - 1)];
    }
}
