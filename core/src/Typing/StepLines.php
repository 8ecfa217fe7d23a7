<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;

/** Steps as people type them: "ring Bookings desk 25s", "menu Main menu 1 Sales 2 Freight". */
final class StepLines
{
    /** @param string $country whose national format of numbers is understood */
    public static function read(string $text, Plan $plan, string $country): TypedStep
    {
        $text = trim(preg_replace('/\s+/u', ' ', $text) ?? '');
        $line = new Line($text, $plan, $country);
        $step = self::step($line);
        if (0 === $line->at()) {
            return new TypedStep(null, [], 'No kind of step begins so.', 0, self::beginning($text));
        }

        return match (true) {
            null === $step => new TypedStep(
                null,
                [],
                '' === trim($line->rest()) ? 'Something is missing at the end.' : 'This is not understood.',
                $line->at(),
                $line->offers,
            ),
            !$line->isOver() => new TypedStep(
                null,
                [],
                \sprintf('“%s” is not understood.', trim($line->rest(), ' ,')),
                $line->at(),
                $line->offers,
            ),
            default => new TypedStep($step, $line->made, '', $line->at(), $line->offers),
        };
    }

    /** @return array<string, mixed>|null the step that stands in a line from here on */
    public static function step(Line $line): ?array
    {
        foreach (self::kinds() as $class) {
            $kind = new $class();
            if (null !== $line->take($kind->begins())) {
                return $kind->read($line);
            }
        }

        return null;
    }

    /** The line that gives a step, without what stands in its exits; of one that is not filled in yet what there is of it. */
    public static function write(Step $step, Plan $plan): ?string
    {
        foreach (self::kinds() as $class) {
            $line = (new $class())->write($step, $plan);
            if (null !== $line) {
                return rtrim($line);
            }
        }

        return null;
    }

    /** @return non-empty-list<class-string<TypedKind>> by the names of the kinds of step, and hours with a step for one state */
    public static function kinds(): array
    {
        /** @var non-empty-list<class-string<TypedKind>> $kinds */
        $kinds = array_map(
            static fn(string $kind): string => __NAMESPACE__ . '\Typed' . ucfirst($kind),
            array_keys(Step::KINDS),
        );
        array_splice($kinds, 1, 0, [TypedIf::class]);

        return $kinds;
    }

    /** @return list<string> */
    private static function beginning(string $text): array
    {
        $examples = array_map(static fn(string $class): string => (new $class())->example(), self::kinds());
        $fits = array_values(
            array_filter(
                $examples,
                static fn(string $example): bool => '' !== $text && str_starts_with($example, mb_strtolower($text)),
            ),
        );

        return [] === $fits ? self::nearest($text, $examples) : $fits;
    }

    /**
     * @param list<string> $examples
     *
     * @return list<string>
     */
    private static function nearest(string $text, array $examples): array
    {
        $word = mb_strtolower(explode(' ', $text)[0]);

        return array_values(
            array_filter(
                $examples,
                static fn(string $example): bool => '' === $word || levenshtein($word, explode(' ', $example)[0]) <= 2,
            ),
        );
    }
}
