<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;

/** What a caller does at one menu: presses keys, one or the digits of an extension, or says words. */
final readonly class KeyPress
{
    public const MOST_KEYS = 24;
    private const MOST_WORDS = 80;
    private const MOST_SECONDS = 600;

    /**
     * @param string      $keys  one or more of a telephone keypad; empty where words are said
     * @param int|null    $after seconds since the prompt began; null for at its end
     * @param string|null $says  words instead of keys
     */
    public function __construct(public string $keys, public ?int $after = null, public ?string $says = null) {}

    /** A text of keys, or an object that says when: `"2"`, `"201"`, `{"press": "2", "after": 3}`, `{"says": "bookings"}`. */
    public static function fromJson(Input $in): self
    {
        if ($in->isText()) {
            return new self(self::keys($in));
        }
        $in->onlyFields(['press', 'says', 'after']);
        $after = $in->field('after')->optionalWhole(0, self::MOST_SECONDS, 'seconds');
        $says = $in->field('says');
        if (!$says->isGiven()) {
            return new self(self::keys($in->field('press'), false), $after);
        }
        if ($in->field('press')->isGiven()) {
            $says->complain('key-or-word');
        }

        return new self('', $after, $says->text(self::MOST_WORDS));
    }

    private static function keys(Input $in, bool $isNeeded = true): string
    {
        $keys = $isNeeded ? $in->text(self::MOST_KEYS) : $in->optionalText(self::MOST_KEYS);
        if (1 !== preg_match('/^[0-9*#]*$/D', $keys)) {
            $in->complain('not-a-key-press', ['key' => Input::quote($keys)]);
        }

        return $keys;
    }
}
