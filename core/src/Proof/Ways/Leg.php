<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** From one place to the next, or to an ending: for how long at least and at most, and by which acts. */
final readonly class Leg
{
    public function __construct(public int $least, public Acts $leastBy, public int $most, public Acts $mostBy) {}

    public static function of(int $seconds, Acts $acts): self
    {
        return new self($seconds, $acts, $seconds, $acts);
    }

    /** Where both are as short, the one of which less has to be said. */
    public function or(self $other): self
    {
        $isShorter =
            $other->least < $this->least ||
            ($other->least === $this->least && $other->leastBy->count() < $this->leastBy->count());
        $isLonger = $other->most > $this->most;
        if (!$isShorter && !$isLonger) {
            return $this;
        }
        [$short, $long] = [$isShorter ? $other : $this, $isLonger ? $other : $this];

        return new self($short->least, $short->leastBy, $long->most, $long->mostBy);
    }
}
