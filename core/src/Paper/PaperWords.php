<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\Blank;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Target;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Wording\Catalog;

/** Names, dates and sentences of a plan in the language of the paper. */
final class PaperWords
{
    /** Stands where something is not chosen. */
    public const NONE = '—';
    public const LANGUAGES = ['en', 'fr'];

    private readonly Catalog $catalog;
    private readonly \IntlDateFormatter $dates;
    private readonly \IntlDateFormatter $days;

    public function __construct(private readonly Plan $plan, public readonly string $language)
    {
        $this->catalog = Catalog::of('paper', $language);
        $this->dates = self::formatter($language, 'EEE d MMM y');
        $this->days = self::formatter($language, 'EEE');
    }

    /** @param array<string, string|int> $arguments */
    public function say(string $code, array $arguments = []): string
    {
        return $this->catalog->say($code, $arguments);
    }

    /** @return list<string> */
    public function head(string ...$codes): array
    {
        return array_map(fn(string $code): string => $this->say('head.' . $code), array_values($codes));
    }

    public function name(?string $id): string
    {
        return null === $id ? self::NONE : $this->plan->find($id)?->name() ?? $id;
    }

    public function number(?string $e164): string
    {
        return null === $e164 || '' === $e164 ? self::NONE : PhoneNumber::international($e164);
    }

    /** Somebody or something that is rung: a person, one of their phones, a team, a number outside. */
    public function target(?Target $target): string
    {
        if (null === $target || null !== $target->number) {
            return $this->number($target?->number);
        }
        $phone =
            null === $target->phone ? null : $this->plan->get(Person::class, $target->element)?->phone($target->phone);

        return $this->name($target->element) . (null === $phone ? '' : ', ' . $phone->label);
    }

    /** What a prompt says in the language of the paper, else in the first that it has. */
    public function script(?string $prompt): string
    {
        $prompt = $this->plan->get(Prompt::class, $prompt);
        $scripts = $prompt->scripts ?? [];
        $language = isset($scripts[$this->language]) ? $this->language : (string) array_key_first($scripts);
        $script = null === $prompt ? '' : $this->scriptIn($prompt, $language);

        return '' === $script ? '' : $this->say('quoted', ['text' => $script]);
    }

    /** What a prompt says in a language, with what its blanks stand for. */
    public function scriptIn(Prompt $prompt, string $language): string
    {
        $blanks = [];
        foreach (Blank::cases() as $blank) {
            $blanks[$blank->value] = $this->say('blank.' . $blank->value);
        }

        return $prompt->script($language)->filled($blanks);
    }

    /** @param int $day days since 1970 */
    public function date(int $day): string
    {
        return (string) $this->dates->format($day * CivilDate::SECONDS_PER_DAY);
    }

    /** @param string $text MM-DD */
    public function monthDay(string $text): string
    {
        return (string) self::formatter($this->language, 'd MMMM')->format((int) strtotime("2024-$text UTC"));
    }

    public function weekday(Weekday $day): string
    {
        // 5 January 1970 was a Monday.
        $place = (int) array_search($day, Weekday::cases(), true);

        return (string) $this->days->format((4 + $place) * CivilDate::SECONDS_PER_DAY);
    }

    /** @param list<string> $parts */
    public function list(array $parts): string
    {
        return [] === $parts ? self::NONE : implode(', ', $parts);
    }

    private static function formatter(string $language, string $pattern): \IntlDateFormatter
    {
        return new \IntlDateFormatter(
            $language,
            \IntlDateFormatter::NONE,
            \IntlDateFormatter::NONE,
            'UTC',
            \IntlDateFormatter::GREGORIAN,
            $pattern,
        );
    }
}
