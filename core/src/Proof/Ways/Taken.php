<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Routing\Walk;

/** A step, taken in every way from one place: from places that are like it in what counted there, it is taken alike. */
final class Taken
{
    /** @var array<string, Outcome> by what the call comes to */
    public array $outcomes = [];
    /** How long callers are there who may give up, until calls end; null where none does. */
    public ?Leg $there = null;

    /**
     * @param Ahead                  $after   what comes after it there
     * @param array<string, Untried> $untried why not whatever may be done at it was tried, by that
     */
    public function __construct(
        public readonly Stand $from,
        private readonly Tries $tries,
        private readonly Ahead $after,
        public array $untried,
    ) {}

    public function comesTo(string $what, Outcome $one): void
    {
        $this->outcomes[$what] = isset($this->outcomes[$what]) ? $this->outcomes[$what]->or($one) : $one;
    }

    public function stays(Leg $there): void
    {
        $this->there = $this->there?->or($there) ?? $there;
    }

    /** @return array{int, int} seconds of the call between which whatever is looked up at the step is the same */
    public function same(): array
    {
        return $this->tries->same;
    }

    /**
     * Whether it is taken alike from another place, which is like the one from which it was but for what is asked here.
     *
     * @param Ahead $after what comes after it there
     */
    public function isSoFrom(Stand $stand, Ahead $after): bool
    {
        $second = $stand->walk->second();
        [$tag, $other] = [$this->from->walk->arrival(), $stand->walk->arrival()];

        return $this->tries->same[0] <= $second &&
            $second < $this->tries->same[1] &&
            ($tag->language === $other->language || $this->isSpokenAlike($stand->walk)) &&
            (!$this->tries->usesTag || $tag->tag->language === $other->tag->language) &&
            (!$this->tries->usesWay || $this->from->way->key() === $stand->way->key()) &&
            $after->isLike($this->after, $this->tries->usesQueue ? null : $this->tries->lookedAt) &&
            $this->findsPhonesAlike($stand);
    }

    /** Whether whatever callers heard lasts as long in the language of a call. */
    private function isSpokenAlike(Walk $walk): bool
    {
        foreach ($this->tries->heard as $prompt) {
            $seconds = $this->from->walk->lasts($prompt);
            if (null === $seconds || $seconds !== $walk->lasts($prompt)) {
                return false;
            }
        }

        return true;
    }

    /** Whether what phones did in the very second is the same, or of phones at which nobody looked. */
    private function findsPhonesAlike(Stand $stand): bool
    {
        if ($stand->did() === $this->from->did()) {
            return true;
        }
        $who = $this->from->justNow->who() + $stand->justNow->who();
        if ([] !== array_intersect_key($this->tries->lookedAt, $who)) {
            return false;
        }

        // Others may do something else a second later: whether it is tried to come by then is the same.
        return ([] === $stand->justNow->did) === ([] === $this->from->justNow->did);
    }
}
