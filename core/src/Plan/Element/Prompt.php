<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Copied;
use Meandros\Core\Value\Lists;

/** Words that callers hear: a script per language, and how it sounds. */
final readonly class Prompt implements Element
{
    use Copied;
    use Named;
    use WithoutParts;

    /** 150 words a minute: common practice for announcements. */
    private const MILLISECONDS_PER_WORD = 400;
    /** The same of scripts that are written without spaces. */
    private const MILLISECONDS_PER_CHARACTER = 200;
    private const WITHOUT_SPACES = '/[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}]/u';

    public const LONGEST_SCRIPT = 4000;
    private const MOST_KNOWN = 1000;

    /**
     * @param array<string, string> $scripts by language
     * @param string                $voice   who is to read it; empty where that is open
     * @param string|null           $hours   of which {opening} tells; null for those that the call came by last
     */
    public function __construct(
        private About $about,
        public array $scripts,
        public string $voice = '',
        public PromptSounds $sounds = new PromptSounds(),
        public ?string $hours = null,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'scripts', 'voice', 'hours', 'takes', 'inUse', 'machine']);
        $scripts = [];
        foreach ($in->field('scripts')->entries(Limits::LANGUAGES) as $language => $script) {
            $language = (string) $language;
            Language::check($language, $script);
            $scripts[$language] = $script->optionalText(self::LONGEST_SCRIPT);
            Script::check($scripts[$language], $script);
        }
        ksort($scripts);

        return new self(
            About::fromJson($in),
            $scripts,
            $in->field('voice')->optionalText(),
            PromptSounds::fromJson($in),
            $in->field('hours')->reference(),
        );
    }

    public function withSounds(PromptSounds $sounds): self
    {
        return $this->with(sounds: $sounds);
    }

    /** The language that callers hear: the one asked for where there is a script or a take in it, else English, else the first by code that has one. */
    public function languageFor(string $wanted): string
    {
        foreach ([$wanted, Language::DEFAULT] as $language) {
            if ($this->isHeardIn($language)) {
                return $language;
            }
        }
        foreach ($this->languages() as $language) {
            if ($this->isHeardIn($language)) {
                return $language;
            }
        }

        return $wanted;
    }

    private function isHeardIn(string $language): bool
    {
        return '' !== ($this->scripts[$language] ?? '') || isset($this->sounds->inUse[$language]);
    }

    /** @return list<string> those in which something is written or recorded, by code */
    public function languages(): array
    {
        $recorded = array_filter(
            $this->sounds->inUse,
            static fn(string $key): bool => !str_contains($key, '/'),
            \ARRAY_FILTER_USE_KEY,
        );
        $languages = array_keys($this->scripts + $recorded);
        sort($languages);

        return $languages;
    }

    public function script(string $language): Script
    {
        return Script::of($language, $this->scripts[$language] ?? '');
    }

    /** Whether it has a blank in any of its languages. */
    public function says(Blank $blank): bool
    {
        foreach ($this->languages() as $language) {
            if (Lists::has($this->script($language)->blanks(), $blank)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<ScriptPart> what is heard in a language beside what fills its blanks; a take may stand alone, without a script */
    public function scriptParts(string $language): array
    {
        return '' === ($this->scripts[$language] ?? '')
            ? [new ScriptPart($language)]
            : $this->script($language)->parts();
    }

    /** Seconds in whichever language it is longest; 0 where nothing is to be heard. */
    public static function longestIn(Plan $plan, ?string $id): int
    {
        return $plan->get(self::class, $id)?->longest() ?? 0;
    }

    /** Seconds, in whichever language it is longest. */
    public function longest(): int
    {
        return max([0, ...array_map($this->seconds(...), $this->languages())]);
    }

    /**
     * Whole seconds; 0 where nothing is heard.
     *
     * @param array<string, string> $filled words by blank; those that are not named take as long as they usually do
     */
    public function seconds(string $language, array $filled = []): int
    {
        $milliseconds = 0;
        foreach ($this->scriptParts($language) as $part) {
            $milliseconds += $this->sound($part)->milliseconds ?? self::milliseconds($part->words);
        }
        foreach ($this->script($language)->blanks() as $blank) {
            $words = $filled[$blank->value] ?? null;
            $milliseconds +=
                null === $words ? $blank->usualWords() * self::MILLISECONDS_PER_WORD : self::milliseconds($words);
        }

        return (int) ceil($milliseconds / 1000);
    }

    public function lengthFrom(string $language): LengthFrom
    {
        $from = LengthFrom::Take;
        $known = 0;
        $parts = $this->scriptParts($language);
        foreach ($parts as $part) {
            $isTake = null !== $this->sounds->inUse($part);
            $isTake || ($from = LengthFrom::Machine);
            $known += $isTake || null !== $this->sound($part) ? 1 : 0;
        }

        return match (true) {
            0 === $known => LengthFrom::Words,
            $known < \count($parts), [] !== $this->script($language)->blanks() => LengthFrom::PartsAndWords,
            default => $from,
        };
    }

    /** What callers hear of a part: the take in use, else what the machine makes of it; null where it has not read it yet. */
    public function sound(ScriptPart $part): ?Sound
    {
        $take = $this->sounds->inUse($part);

        return null === $take ? $this->sounds->machine($part)?->sound : $take->sound;
    }

    /**
     * Whole seconds, rounded up; 0 where there are no words. Words that a hyphen joins are read one by one; scripts that
     * are written without spaces are counted by characters.
     */
    public static function estimate(string $script): int
    {
        return (int) ceil(self::milliseconds($script) / 1000);
    }

    /** Whoever looks at many calls asks for the same scripts again and again. */
    private static function milliseconds(string $script): int
    {
        /** @var array<string, int> $known */
        static $known = [];
        if (\count($known) > self::MOST_KNOWN) {
            $known = [];
        }

        return $known[$script] ??= self::counted($script);
    }

    private static function counted(string $script): int
    {
        $characters = (int) preg_match_all(self::WITHOUT_SPACES, $script);
        $words = self::words((string) preg_replace(self::WITHOUT_SPACES, ' ', $script));

        return $words * self::MILLISECONDS_PER_WORD + $characters * self::MILLISECONDS_PER_CHARACTER;
    }

    public static function words(string $text): int
    {
        return (int) preg_match_all('/[^\s\p{Pd}]*[\p{L}\p{N}][^\s\p{Pd}]*/u', $text);
    }

    public function kind(): Kind
    {
        return Kind::Prompt;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'scripts' => (object) $this->scripts,
            'voice' => $this->voice,
            'hours' => $this->hours,
            ...$this->sounds->toJson(),
        ];
    }

    public function references(): array
    {
        return null === $this->hours
            ? []
            : [new Reference($this->hours, '/hours', [Kind::Hours], 'tells when it opens')];
    }
}
