<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Value\Lists;

/** The patterns that there are, and journeys made from them. */
final class Patterns
{
    /** @var non-empty-array<string, class-string<Pattern>> by their names in the API, in the order in which they are offered */
    public const ALL = [
        'open or closed' => OpenOrClosed::class,
        'menu of three' => MenuOfThree::class,
        'person then team' => PersonThenTeam::class,
        'ring then greet' => RingThenGreet::class,
        'language choice' => LanguageChoice::class,
    ];

    /** @return array<string, Pattern> by name */
    public static function all(): array
    {
        return array_map(static fn(string $class): Pattern => new $class(), self::ALL);
    }

    /**
     * @param Input  $in with the fields "pattern", "name" and "answers"
     * @param string $id of the journey
     *
     * @return Journey|null null where something is missing or cannot stand there: a complaint says so
     */
    public static function read(Input $in, Plan $plan, string $id): ?Journey
    {
        $in->onlyFields(['pattern', 'name', 'answers']);
        $name = $in->field('name')->text();
        $pattern = self::all()[$in->field('pattern')->exactText(40)] ?? null;
        if (null === $pattern) {
            $in->field('pattern')->complain('no-such-pattern', ['choices' => array_keys(self::ALL)]);

            return null;
        }
        $answers = self::answers($in->field('answers'), $pattern, $plan);
        if (null === $answers || '' === $name) {
            return null;
        }
        $n = 0;
        $journey = PlanCodec::element([
            'id' => $id,
            'kind' => 'journey',
            'name' => $name,
            'steps' => self::withIds($pattern->steps($plan, $answers), $n),
        ]);
        \assert($journey instanceof Journey);

        return $journey;
    }

    /** @return array<string, string>|null */
    private static function answers(Input $in, Pattern $pattern, Plan $plan): ?array
    {
        $asks = $pattern->asks();
        $in->onlyFields(array_map(static fn(Ask $ask): string => $ask->key, $asks));
        $answers = [];
        $isWhole = true;
        foreach ($asks as $ask) {
            $field = $in->named($ask->key);
            $id = $field->reference();
            if (null === $id) {
                $ask->isOptional || $field->complain('choice-missing');
                $isWhole = $isWhole && $ask->isOptional;
            } elseif (!Lists::has($ask->kinds, $plan->kindOf($id))) {
                $field->complain('not-fitting', ['id' => Input::quote($id)]);
                $isWhole = false;
            } else {
                $answers[$ask->key] = $id;
            }
        }

        return $isWhole ? $answers : null;
    }

    /**
     * @param list<array<string, mixed>> $steps
     *
     * @return list<array<string, mixed>>
     */
    private static function withIds(array $steps, int &$n): array
    {
        $numbered = [];
        foreach ($steps as $step) {
            $step = ['id' => 's' . ++$n] + $step;
            if (\is_array($step['exits'] ?? null)) {
                /** @var list<array{on: string, label: string, steps: list<array<string, mixed>>}> $exits */
                $exits = $step['exits'];
                foreach ($exits as $i => $exit) {
                    $exits[$i]['steps'] = self::withIds($exit['steps'], $n);
                }
                $step['exits'] = $exits;
            }
            $numbered[] = $step;
        }

        return $numbered;
    }
}
