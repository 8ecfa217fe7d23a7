<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Known;
use Meandros\Server\Storage\SharedMemory;

/**
 * What was found of the calls to each number of a plan is kept by the processes of the server: whoever looks again looks at what
 * edits touched meanwhile, and goes on where there was no more time.
 */
final readonly class KnownNumbers
{
    /** Bytes, packed, above which all of it is looked at anew: other things are kept as well. */
    private const MOST = 4_000_000;

    public function __construct(private SharedMemory $memory) {}

    /**
     * @template T
     *
     * @param string             $what   is looked for
     * @param string             $asked  whatever else it depends on
     * @param \Closure(Known): T $look   keeps there what it finds
     * @param Plan|null          $beside another plan that it depends on as well
     *
     * @return T
     */
    public function with(
        string $what,
        Plan $plan,
        LiveState $live,
        string $asked,
        \Closure $look,
        ?Plan $beside = null,
    ): mixed {
        [$mark, $besides] = [$plan->mark(), $beside?->mark()];
        if (null === $mark || (null === $besides && null !== $beside)) {
            return $look(new Known($plan, $live, $asked));
        }
        $name = "known $what of {$mark->of} beside {$besides?->of}";
        $asked .= ' ' . $besides?->at;
        /** @var string|null $kept */
        $kept = $this->memory->get($name);
        $before = null === $kept ? null : unserialize((string) gzinflate($kept));
        $known = Known::after($before instanceof Known ? $before : null, $plan, $live, $asked, $beside);
        $found = $look($known);
        $packed = (string) gzdeflate(serialize($known), 1);
        $this->memory->keep($name, \strlen($packed) <= self::MOST ? $packed : null);

        return $found;
    }
}
