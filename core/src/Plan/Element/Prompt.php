<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Words that callers hear: a script per language. */
final readonly class Prompt implements Element
{
    use Named;
    use WithoutParts;

    /** Common practice for announcements. */
    private const WORDS_PER_MINUTE = 150;
    /** The same of scripts that are written without spaces. */
    private const CHARACTERS_PER_MINUTE = 300;
    private const WITHOUT_SPACES = '/[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}]/u';

    /** @param array<string, string> $scripts by language */
    public function __construct(private string $id, private string $name, public array $scripts) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'scripts']);
        $scripts = [];
        foreach ($in->field('scripts')->entries(Limits::LANGUAGES) as $language => $script) {
            $language = (string) $language;
            Language::check($language, $script);
            $scripts[$language] = $script->optionalText(4000);
        }
        ksort($scripts);

        return new self($in->field('id')->id(), $in->field('name')->text(), $scripts);
    }

    /** The language that callers hear: the one asked for where there is a script in it, else English, else the first by code that has one. */
    public function languageFor(string $wanted): string
    {
        foreach ([$wanted, Language::DEFAULT, ...array_keys($this->scripts)] as $language) {
            if ('' !== ($this->scripts[$language] ?? '')) {
                return $language;
            }
        }

        return $wanted;
    }

    /** Seconds, in whichever language it is longest. */
    public function longest(): int
    {
        return max([0, ...array_map($this->seconds(...), array_keys($this->scripts))]);
    }

    /**
     * Estimated from the script, rounded up to whole seconds; 0 where there are no words. Words that a hyphen joins are
     * read one by one; scripts that are written without spaces are counted by characters.
     */
    public function seconds(string $language): int
    {
        $script = $this->scripts[$language] ?? '';
        $characters = (int) preg_match_all(self::WITHOUT_SPACES, $script);
        $words = (int) preg_match_all(
            '/[^\s\p{Pd}]*[\p{L}\p{N}][^\s\p{Pd}]*/u',
            (string) preg_replace(self::WITHOUT_SPACES, ' ', $script),
        );

        return (int) ceil(
            (60 * ($words * self::CHARACTERS_PER_MINUTE + $characters * self::WORDS_PER_MINUTE)) /
                (self::WORDS_PER_MINUTE * self::CHARACTERS_PER_MINUTE),
        );
    }

    public function kind(): Kind
    {
        return Kind::Prompt;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'kind' => 'prompt', 'name' => $this->name, 'scripts' => (object) $this->scripts];
    }

    public function references(): array
    {
        return [];
    }
}
