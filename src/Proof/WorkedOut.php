<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Plan\Plan;
use Meandros\Server\Now;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\SharedMemory;

/**
 * What takes a while to work out of a year of calls is kept for the minute: whoever looks at the same plans next, or publishes what
 * was just looked at, has it at once. Kept by all that plans say and by all that is live, whatever they are called.
 */
final readonly class WorkedOut
{
    private const SECONDS = 60;

    public function __construct(private SharedMemory $memory, private Live $live, private Now $now) {}

    /**
     * @template T
     *
     * @param non-empty-list<Plan> $plans
     * @param \Closure(): T        $work
     * @param \Closure(T): bool    $isWhole whether nothing was left out for want of time
     *
     * @return T
     */
    public function of(string $what, array $plans, \Closure $work, \Closure $isWhole): mixed
    {
        $second = $this->now->second();
        $of = array_map(fn(Plan $plan): array => [$plan->fingerprint(), $this->live->state($plan, $second)], $plans);
        $key = 'worked out ' . $what . ' ' . hash('xxh128', serialize([intdiv($second, self::SECONDS), $of]));
        /** @var array{T}|null $known */
        $known = $this->memory->get($key);
        if (null !== $known) {
            return $known[0];
        }
        $found = $work();
        if ($isWhole($found)) {
            $this->memory->keep($key, [$found], self::SECONDS);
        }

        return $found;
    }
}
