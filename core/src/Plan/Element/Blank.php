<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** What a script leaves open: it is filled at the moment of the call, and said by the machine voice. */
enum Blank: string
{
    /** When hours open next: "tomorrow at eight". */
    case Opening = 'opening';
    /** The day of the call: "Monday the twenty-third of November". */
    case Date = 'date';
    /** In the queue: "three". */
    case Position = 'position';
    /** That it is likely to take: "about five minutes". */
    case Wait = 'wait';
    /** Of whoever is called. */
    case Name = 'name';

    /** Words that it usually takes, where nobody calls. */
    public function usualWords(): int
    {
        return match ($this) {
            self::Opening, self::Wait => 3,
            self::Date => 5,
            self::Position => 1,
            self::Name => 2,
        };
    }
}
