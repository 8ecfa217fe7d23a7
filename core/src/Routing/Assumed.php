<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;

/** What is assumed as a call goes on; the very same for as long as nothing else holds. */
final class Assumed
{
    private ?Assumptions $now = null;
    private int $since = 0;
    private int $until = 0;

    public function __construct(private readonly Assumptions $all) {}

    public function at(int $second): Assumptions
    {
        if (null === $this->now || $second < $this->since || $second >= $this->until) {
            $this->now = $this->all->at($second);
            [$this->since, $this->until] = [$second, $this->all->until($second)];
        }

        return $this->now;
    }

    /** The first second from which on something else is assumed than at this one. */
    public function until(int $second): int
    {
        $this->at($second);

        return $this->until;
    }
}
