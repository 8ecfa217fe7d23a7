<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** How a menu treats callers: whether keys count while it speaks, and what they hear when it asks again. */
final readonly class MenuManner
{
    /**
     * @param bool           $duringPrompt whether keys count while the prompt plays; off for words that must be heard
     * @param string|null    $second       a prompt in place of its own when it asks again; null for the same
     * @param string|null    $wrong        the same after a key that leads nowhere
     * @param list<MenuWord> $words        that callers may say instead of pressing keys
     */
    public function __construct(
        public bool $duringPrompt,
        public ?string $second,
        public ?string $wrong,
        public array $words,
    ) {}

    /** @param Input $step with the fields "duringPrompt", "secondPrompt", "wrongPrompt" and "words" */
    public static function fromJson(Input $step): self
    {
        return new self(
            $step->field('duringPrompt')->flag(true),
            $step->field('secondPrompt')->reference(),
            $step->field('wrongPrompt')->reference(),
            self::words($step->field('words')),
        );
    }

    /** @return list<MenuWord> */
    private static function words(Input $in): array
    {
        $words = $seen = [];
        foreach ($in->items(Limits::MENU_WORDS) as $item) {
            $word = MenuWord::fromJson($item, Keypad::KEYS);
            if (isset($seen[$word->on][$word->language])) {
                $item->field('on')->complain('words-twice', ['key' => $word->on, 'language' => $word->language]);
            }
            $seen[$word->on][$word->language] = true;
            $words[] = $word;
        }

        return $words;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'duringPrompt' => $this->duringPrompt,
            'secondPrompt' => $this->second,
            'wrongPrompt' => $this->wrong,
            'words' => array_map(static fn(MenuWord $word): array => $word->toJson(), $this->words),
        ];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        if (null !== $this->second) {
            $references[] = new Reference(
                $this->second,
                $pointer . '/secondPrompt',
                [Kind::Prompt],
                'asks again with it',
            );
        }
        if (null !== $this->wrong) {
            $references[] = new Reference(
                $this->wrong,
                $pointer . '/wrongPrompt',
                [Kind::Prompt],
                'asks with it after a wrong key',
            );
        }

        return $references;
    }
}
