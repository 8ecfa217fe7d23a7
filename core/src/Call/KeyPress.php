<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;

/** Keys that a caller presses at one menu: one, or the digits of an extension. */
final readonly class KeyPress
{
    private const MOST_KEYS = 8;
    private const MOST_SECONDS = 600;

    /**
     * @param string   $keys  one or more of a telephone keypad
     * @param int|null $after seconds since the prompt began; null for at its end
     */
    public function __construct(public string $keys, public ?int $after = null)
    {
    }

    /** A text of keys, or an object that says when the first is pressed: `"2"`, `"201"`, `{"press": "2", "after": 3}`. */
    public static function fromJson(Input $in): self
    {
        $press = $in->isText() ? $in : $in->field('press');
        $in->isText() || $in->onlyFields(['press', 'after']);
        $keys = $press->text(self::MOST_KEYS);
        if (1 !== preg_match('/^[0-9*#]*$/D', $keys)) {
            $press->complain(\sprintf('"%s" is not a key.', Input::quote($keys)), 'Press one of 0–9, * and #, or the digits of an extension.');
        }

        return new self($keys, $in->isText() ? null : $in->field('after')->optionalWhole(0, self::MOST_SECONDS, 'seconds'));
    }
}
