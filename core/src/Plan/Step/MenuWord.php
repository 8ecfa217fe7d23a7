<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Language;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** Words that do what a key does, for callers who say them. */
final readonly class MenuWord
{
    /**
     * @param string       $on  the key
     * @param list<string> $say any of them
     */
    public function __construct(public string $on, public string $language, public array $say) {}

    /** @param list<string> $keys that there are */
    public static function fromJson(Input $in, array $keys): self
    {
        $in->onlyFields(['on', 'language', 'say']);
        $on = $in->field('on')->exactText(1);
        if ('' !== $on && !Lists::has($keys, $on)) {
            $in->field('on')->complain('not-a-menu-key', ['key' => Input::quote($on)]);
        }

        return new self(
            $on,
            Language::read($in->field('language')),
            array_map(static fn(Input $item): string => $item->text(60), $in->field('say')->items(Limits::WORDS)),
        );
    }

    /** @return array{on: string, language: string, say: list<string>} */
    public function toJson(): array
    {
        return ['on' => $this->on, 'language' => $this->language, 'say' => $this->say];
    }
}
