<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Router;

/**
 * Every place to which calls may come between two steps, and the legs between them. Calls that stand at the same step and go
 * on alike stand at the same place, however they came there: a journey of many steps has few places.
 */
final class Explorer
{
    private const MOST_STANDS = 20_000;

    /** @var array<string, Stand> by key, in the order in which they were found */
    public array $stands = [];
    /** Whether whatever callers and phones may do was among the choices. */
    public bool $isComplete = true;
    /** The first second of the call at which something that is looked up may change; null where nothing does. */
    public ?int $changes = null;
    private readonly Remaining $remaining;

    /** @param bool $bySecond whether calls that come at other seconds stand at other places */
    public function __construct(
        private readonly Router $router,
        private readonly Plan $plan,
        private readonly Assumptions $given,
        private readonly bool $bySecond,
    ) {
        $this->remaining = new Remaining($plan);
    }

    /** @return string the key of where it begins */
    public function explore(Stand $first): string
    {
        $start = $this->key($first);
        $this->stands[$start] = $first;
        $next = [$start];
        while (null !== ($key = array_pop($next))) {
            foreach ($this->expand($this->stands[$key]) as $found => $stand) {
                if (\count($this->stands) >= self::MOST_STANDS) {
                    $this->isComplete = false;

                    return $start;
                }
                $this->stands[$found] = $stand;
                $next[] = $found;
            }
        }

        return $start;
    }

    /** @return array<string, Stand> that were not known, by key */
    private function expand(Stand $stand): array
    {
        $at = $stand->way->next();
        $new = [];
        if (null === $at) {
            $ending = $stand->way->ending ?? new Ending(EndingKind::RanOut);
            $stand->ends($ending, Leg::of(0, new Acts()));

            return [];
        }
        $runs = (new Choices(fn(Acts $acts): Run => $this->run($stand, $acts), $stand))->all($at[1]);
        $this->isComplete = $this->isComplete && Choices::areAll($at[1], $runs[0]);
        foreach ($runs as $run) {
            if (null !== $run->ending) {
                $stand->ends($run->ending, Leg::of($run->seconds, $run->acts));
                continue;
            }
            $reached = new Stand($run->walk, $run->way, $stand->acts->then($run->acts));
            $key = $this->key($reached);
            $stand->leads($key, Leg::of($run->seconds, $run->acts));
            if (!isset($this->stands[$key]) && !isset($new[$key])) {
                $new[$key] = $reached;
            }
        }

        return $new;
    }

    private function run(Stand $stand, Acts $acts): Run
    {
        $walk = $stand->walk->goingOn($stand->acts->then($acts)->within($this->given));
        $since = $walk->second();
        $ending = null;
        $way = $stand->way;
        try {
            $way = $this->router->step($walk, $way);
            if (null === $way->next()) {
                $ending = $way->ending ?? new Ending(EndingKind::RanOut);
            }
        } catch (CallOver $over) {
            $ending = $over->ending;
        }
        if (null !== $ending && $walk->goesOnAfter($ending)) {
            $this->isComplete = false;
            try {
                $ending = $walk->hungUp($ending);
            } catch (CallOver $over) {
                $ending = $over->ending;
            }
        }
        $until = $walk->holdsUntil();
        if (null !== $until) {
            $this->changes = min($this->changes ?? \PHP_INT_MAX, $until - $walk->call->instant);
        }
        foreach ($walk->rung() as $rung) {
            // Who refuses at one place after so many seconds may ring to the end at another: not all of them are tried.
            $again =
                isset($stand->walk->rungSeconds()[$rung->phone->id]) || isset($stand->acts->phones[$rung->phone->id]);
            $this->isComplete = $this->isComplete && !$again;
        }
        $asked = $acts->asked($walk->keysTaken() - $stand->walk->keysTaken(), \count($walk->heeded()));

        return new Run($asked, $walk, $way, $walk->second() - $since, $ending);
    }

    private function key(Stand $stand): string
    {
        $remaining = $this->remaining->of($stand->way);
        $phones = [];
        foreach ($stand->walk->rungSeconds() as $phone => $seconds) {
            isset($remaining[explode('/', $phone)[0]]) &&
                ($phones[$phone] = \sprintf('%d %d', $seconds, $stand->walk->rungAtOnce()[$phone] ?? 0));
        }
        foreach ($stand->acts->phones as $phone => $act) {
            if (isset($remaining[explode('/', $phone)[0]])) {
                $phones[$phone] = ($phones[$phone] ?? '') . ' ' . $act->does->value . ' ' . $act->afterSeconds;
            }
        }
        ksort($phones);

        return implode("\n", [
            $stand->way->key(),
            $stand->walk->condition($this->remaining->says($remaining)),
            serialize($phones),
            $this->bySecond ? (string) $stand->walk->second() : '',
        ]);
    }
}
