<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Copied;

/** Words that callers hear: a script per language, and how it sounds. */
final readonly class Prompt implements Element
{
    use Copied;
    use Named;
    use WithoutParts;

    /** Common practice for announcements. */
    private const WORDS_PER_MINUTE = 150;
    /** The same of scripts that are written without spaces. */
    private const CHARACTERS_PER_MINUTE = 300;
    private const WITHOUT_SPACES = '/[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}]/u';

    public const LONGEST_SCRIPT = 4000;

    /**
     * @param array<string, string> $scripts by language
     * @param string                $voice   who is to read it; empty where that is open
     */
    public function __construct(
        private string $id,
        private string $name,
        public array $scripts,
        public string $voice = '',
        public PromptSounds $sounds = new PromptSounds(),
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'scripts', 'voice', 'takes', 'inUse', 'machine']);
        $scripts = [];
        foreach ($in->field('scripts')->entries(Limits::LANGUAGES) as $language => $script) {
            $language = (string) $language;
            Language::check($language, $script);
            $scripts[$language] = $script->optionalText(self::LONGEST_SCRIPT);
        }
        ksort($scripts);

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $scripts,
            $in->field('voice')->optionalText(),
            PromptSounds::fromJson($in),
        );
    }

    public function withSounds(PromptSounds $sounds): self
    {
        return $this->with(sounds: $sounds);
    }

    /** The language that callers hear: the one asked for where there is a script or a take in it, else English, else the first by code that has one. */
    public function languageFor(string $wanted): string
    {
        foreach ([$wanted, Language::DEFAULT, ...$this->languages()] as $language) {
            if ('' !== ($this->scripts[$language] ?? '') || null !== $this->sounds->inUse($language)) {
                return $language;
            }
        }

        return $wanted;
    }

    /** @return list<string> those in which something is written or recorded, by code */
    public function languages(): array
    {
        $languages = array_keys($this->scripts + $this->sounds->inUse);
        sort($languages);

        return $languages;
    }

    /** Seconds, in whichever language it is longest. */
    public function longest(): int
    {
        return max([0, ...array_map($this->seconds(...), $this->languages())]);
    }

    /** Whole seconds; 0 where nothing is heard. */
    public function seconds(string $language): int
    {
        return $this->sound($language)?->seconds() ?? self::estimate($this->scripts[$language] ?? '');
    }

    public function lengthFrom(string $language): LengthFrom
    {
        return match (true) {
            null !== $this->sounds->inUse($language) => LengthFrom::Take,
            null !== $this->sound($language) => LengthFrom::Machine,
            default => LengthFrom::Words,
        };
    }

    /** What callers hear: the take in use, else what the machine makes of the script; null where it has not read it yet. */
    public function sound(string $language): ?Sound
    {
        $take = $this->sounds->inUse($language);

        return null === $take
            ? $this->sounds->machine($language, $this->scripts[$language] ?? '')?->sound
            : $take->sound;
    }

    /**
     * Whole seconds, rounded up; 0 where there are no words. Words that a hyphen joins are read one by one; scripts that
     * are written without spaces are counted by characters.
     */
    public static function estimate(string $script): int
    {
        $characters = (int) preg_match_all(self::WITHOUT_SPACES, $script);
        $words = self::words((string) preg_replace(self::WITHOUT_SPACES, ' ', $script));

        return (int) ceil(
            (60 * ($words * self::CHARACTERS_PER_MINUTE + $characters * self::WORDS_PER_MINUTE)) /
                (self::WORDS_PER_MINUTE * self::CHARACTERS_PER_MINUTE),
        );
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
            'id' => $this->id,
            'kind' => 'prompt',
            'name' => $this->name,
            'scripts' => (object) $this->scripts,
            'voice' => $this->voice,
            ...$this->sounds->toJson(),
        ];
    }

    public function references(): array
    {
        return [];
    }
}
