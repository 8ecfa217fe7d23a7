<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\Itinerary;
use Meandros\Core\Routing\Walk;

/** A place at which calls stand between two steps, all of them going on alike; where they can get from there in one step. */
final class Stand
{
    /** @var array<string, Leg> by the key of the next place */
    public array $legs = [];
    /** @var array<string, array{Ending, Leg}> by ending */
    public array $ends = [];
    /** Equal for those that differ in nothing but what phones did in the second in which calls come there. */
    public string $place = '';
    /** How long callers are there until calls end; null where none does. */
    public ?Leg $there = null;

    /**
     * @param Acts                           $acts     by which the call came here that was the first to
     * @param array<string, PhoneAssumption> $now      what phones did in the very second in which calls come here, by phone
     * @param array<string, int>             $reached  phones that could be reached then
     * @param array<string, true>            $together of those in `now`, the ones that rang together with others
     */
    public function __construct(
        public readonly Walk $walk,
        public readonly Itinerary $way,
        public readonly Acts $acts,
        public readonly array $now = [],
        public readonly array $reached = [],
        public readonly array $together = [],
    ) {}

    public function leads(string $to, Leg $leg): void
    {
        $this->legs[$to] = isset($this->legs[$to]) ? $this->legs[$to]->or($leg) : $leg;
    }

    public function ends(Ending $ending, Leg $leg): void
    {
        $key = self::keyOf($ending);
        $this->ends[$key] = [$ending, isset($this->ends[$key]) ? $this->ends[$key][1]->or($leg) : $leg];
    }

    /** Callers are there for so long, be it that something goes on after they have hung up. */
    public function stays(Leg $there): void
    {
        $this->there = $this->there?->or($there) ?? $there;
    }

    public static function keyOf(Ending $ending): string
    {
        return $ending->kind->value . ' ' . $ending->who . ' ' . (null === $ending->who ? $ending->phone : '');
    }
}
