<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\CallerActs;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\PhoneAssumption;

/** What callers press and what phones do on a way through a plan; what is not said rings and is not pressed. */
final readonly class Acts
{
    /** Nothing is pressed at a menu: the key comes when none counts any more. */
    private const TOO_LATE = 600;

    /**
     * @param list<KeyPress>                 $keys      at one menu after the other
     * @param list<KeyPress>                 $meanwhile at one step that heeds keys meanwhile after the other
     * @param array<string, PhoneAssumption> $phones    by phone
     */
    public function __construct(public array $keys = [], public array $meanwhile = [], public array $phones = []) {}

    public static function nothingPressed(): KeyPress
    {
        return new KeyPress('#', self::TOO_LATE);
    }

    public function then(self $later): self
    {
        return new self(
            [...$this->keys, ...$later->keys],
            [...$this->meanwhile, ...$later->meanwhile],
            $later->phones + $this->phones,
        );
    }

    /** Exactly so many presses as were asked for: what is left over would be taken by a later step. */
    public function asked(int $keys, int $meanwhile): self
    {
        return new self(
            \array_slice([...$this->keys, ...array_fill(0, $keys, self::nothingPressed())], 0, $keys),
            \array_slice([...$this->meanwhile, ...array_fill(0, $meanwhile, new KeyPress(''))], 0, $meanwhile),
            $this->phones,
        );
    }

    /** @param Assumptions $given of which only what the company and earlier calls do counts */
    public function within(Assumptions $given, ?int $patience = null): Assumptions
    {
        return new Assumptions(
            new CallerActs($this->keys, $this->meanwhile, $patience, $given->caller->isFax),
            array_values($this->phones),
            $given->circumstances,
            $given->earlier,
            $given->parked,
        );
    }
}
