<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Language;
use Meandros\Core\Reading\Input;

/**
 * A part of a script without blanks: what a take holds, and the machine voice reads in one go. A script without blanks has
 * one part. Those that say something are counted from 1.
 */
final readonly class ScriptPart
{
    public const MOST = 9;

    /** @param string $words empty where only the place is meant */
    public function __construct(public string $language, public int $number = 1, public string $words = '') {}

    /** @param Input $in something that says its language, and the part if it is not the first */
    public static function fromJson(Input $in): self
    {
        return new self(Language::read($in->field('language')), $in->field('part')->whole(1, self::MOST, 'part', 1));
    }

    /** @param string $key as below */
    public static function check(string $key, Input $in): void
    {
        1 === preg_match('~^[a-z]{2}/[2-9]$~D', $key) || Language::check($key, $in);
    }

    /** "en" for the first part, "en/2" for the second. */
    public function key(): string
    {
        return 1 === $this->number ? $this->language : $this->language . '/' . $this->number;
    }
}
