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
use Meandros\Core\Wording\Listed;
use Meandros\Core\Wording\When;

/** Names, dates and sentences of a plan in the language of the paper. */
final class PaperWords
{
    /** Stands where something is not chosen. */
    public const NONE = '—';
    public const LANGUAGES = ['en', 'fr'];

    private readonly Catalog $catalog;

    public function __construct(private readonly Plan $plan, public readonly string $language)
    {
        $this->catalog = Catalog::of('paper', $language);
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

    /** @return list<string> what is to be filled in at the end */
    public function signing(): array
    {
        return [$this->say('sign.date'), $this->say('sign.name'), $this->say('sign.signature')];
    }

    /** With one place after the point, or after the comma. */
    public function decimal(float $value): string
    {
        $format = new \NumberFormatter($this->language, \NumberFormatter::DECIMAL);
        $format->setAttribute(\NumberFormatter::FRACTION_DIGITS, 1);

        return (string) $format->format($value);
    }

    public function name(?string $id): string
    {
        return null === $id ? self::NONE : $this->plan->nameOf($id);
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

        return '' === $script ? '' : Listed::quoted($script, $this->language);
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
        return When::date($day, $this->language);
    }

    /** @param string $text MM-DD */
    public function monthDay(string $text): string
    {
        return When::dayOfYear((int) CivilDate::parse("2024-$text"), $this->language);
    }

    public function weekday(Weekday $day): string
    {
        return When::weekday($day, $this->language);
    }

    /** @param list<string> $parts */
    public function list(array $parts): string
    {
        return [] === $parts ? self::NONE : implode(', ', $parts);
    }
}
