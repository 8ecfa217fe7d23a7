<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\Input;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Language;

/** Words that callers hear: a script per language. */
final readonly class Prompt implements Element
{
    use Named;

    /** Common practice for announcements. */
    private const WORDS_PER_MINUTE = 150;

    /** @param array<string, string> $scripts by language */
    public function __construct(private string $id, private string $name, public array $scripts)
    {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'scripts']);
        $scripts = [];
        foreach ($in->field('scripts')->entries() as $language => $script) {
            Language::check($language, $script);
            $scripts[$language] = $script->optionalText(4000);
        }
        ksort($scripts);

        return new self($in->field('id')->id(), $in->field('name')->text(), $scripts);
    }

    /** The language that callers hear: the one asked for where there is a script in it, else the first that has one. */
    public function languageFor(string $wanted): string
    {
        if ('' !== ($this->scripts[$wanted] ?? '')) {
            return $wanted;
        }
        foreach ($this->scripts as $language => $script) {
            if ('' !== $script) {
                return $language;
            }
        }

        return $wanted;
    }

    /** Estimated from the script at 150 words a minute, rounded up to whole seconds; 0 where there are no words. */
    public function seconds(string $language): int
    {
        $words = preg_split('/[\s\p{Pd}]+/u', trim($this->scripts[$language] ?? ''), -1, \PREG_SPLIT_NO_EMPTY);

        return (int) ceil(\count(false === $words ? [] : $words) * 60 / self::WORDS_PER_MINUTE);
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
