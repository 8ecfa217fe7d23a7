<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Lead;
use Meandros\Core\Proof\Ways\Presses;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\Asked;

/** What callers press at one try of a menu: nothing, a key that leads on, one that does not, somebody's extension. */
final class MenuKeys implements Question
{
    use Usual;

    /** @var array{MenuStep, list<array{string, string}>, list<array{string, string}>, bool}|null keys of the menu that was asked about last, and whether everybody is among them who may be dialled */
    private ?array $last = null;

    public function __construct(private readonly Reachable $reachable) {}

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof Asked);

        return $at->place < \count($at->acts->presses->atMenus)
            ? null
            : \sprintf('key %s %d %s', $at->what->menu->id(), $at->what->try, $at->what->heard->prompt);
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof Asked);
        $menu = $at->what->menu;
        $heard = $at->what->heard->seconds;
        $first = $menu->manner->duringPrompt ? 0 : $heard;
        $last = $heard + $menu->asks->waitSeconds - 1;
        $answers = [Acts::pressing(Presses::nothing())];
        if ($last < $first) {
            return $answers;
        }
        [$known, $wrong] = $this->keys($menu);
        // A key leads to the same at every try: it is pressed soonest at the first, and latest at the last.
        $isFirst = 1 === $at->what->try;
        $isLast = $menu->asks->tries === $at->what->try;
        foreach ([...$known, ...$wrong] as $i => [$soon, $late]) {
            $isWrong = $i >= \count($known);
            $press = static fn(string $keys, int $after): Acts|Lead => $isWrong
                ? Acts::pressing(new KeyPress($keys, $after))
                : new Lead(
                    Acts::pressing(new KeyPress($keys, $after)),
                    $menu,
                    $late,
                    $at->since + $after + ($menu->dial?->seconds($keys) ?? 0),
                );
            foreach ($at->isSoonest && ($isFirst || $isWrong) ? $at->soonest($first, $last) : [] as $after) {
                $answers[] = $press($soon, $after);
            }
            if ($at->isLatest && ($isLast || $isWrong)) {
                $answers[] = $press($late, $last);
            }
        }

        return $answers;
    }

    public function takesKey(): bool
    {
        return true;
    }

    public function untried(Asking $at): ?Untried
    {
        \assert($at->what instanceof Asked);

        return $this->keys($at->what->menu)[2] ? null : Untried::ManyPeople;
    }

    /** @return array{list<array{string, string}>, list<array{string, string}>, bool} those that lead on, and one that does not, as below; whether everybody is among them */
    private function keys(MenuStep $menu): array
    {
        if ($menu !== ($this->last[0] ?? null)) {
            [$known, $wrong] = $this->presses($menu);
            $areAll = null === $menu->dial || $this->reachable->areAll($menu->dial);
            $this->last = [$menu, $known, $wrong, $areAll];
        }

        return [$this->last[1], $this->last[2], $this->last[3]];
    }

    /** @return array{list<array{string, string}>, list<array{string, string}>} keys that lead on, each as it takes the fewest seconds, and the most; and one that does not */
    private function presses(MenuStep $menu): array
    {
        $keys = array_values(
            array_filter(Keypad::KEYS, static fn(string $key): bool => null !== $menu->exits()->find($key)),
        );
        $wrong = $menu->exits()->wrongKey();
        if (null === $menu->dial) {
            return [
                array_map(static fn(string $key): array => [$key, $key], $keys),
                null === $wrong ? [] : [[$wrong, $wrong]],
            ];
        }
        $extensions = array_map(
            static fn(Person $person): string => $person->known->extension,
            array_filter(
                $this->reachable->people($menu->dial),
                static fn(Person $person): bool => \strlen($person->known->extension) > 1,
            ),
        );

        // After a digit another is waited for, unless # follows it.
        return [
            [
                ...array_map(
                    static fn(string $key): array => ctype_digit($key) ? [$key . '#', $key] : [$key, $key],
                    $keys,
                ),
                ...array_map(static fn(string $digits): array => [$digits . '#', $digits], array_values($extensions)),
            ],
            [[null === $wrong || ctype_digit($wrong) ? '**' : $wrong, str_repeat('9', KeyPress::MOST_KEYS)]],
        ];
    }
}
