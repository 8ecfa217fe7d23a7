<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Routing\Happening\KeyMeanwhile;
use Meandros\Core\Value\Lists;

/** Keys that callers press while phones ring or something is heard. */
final readonly class KeysMeanwhile
{
    /** When a key is pressed of which nothing is said. */
    private const SOON = 1;

    public function __construct(private Walk $walk) {}

    /**
     * @param list<string>       $keys  that are heeded; where there are none, nothing is pressed
     * @param \Closure(): Onward $do    is given up in the second in which one of them is pressed
     * @param int|null           $hears second of it from which on keys are heard; null for from when the call is answered
     *
     * @return Onward by the key, where one was pressed
     *
     * @throws CallOver
     * @throws TimeUp
     */
    public function during(array $keys, \Closure $do, ?int $hears): Onward
    {
        if ([] === $keys) {
            return $do();
        }
        // Keys that were heeded before are not any more.
        $this->walk->clock->willInterrupt(null);
        $second = $this->walk->second();
        $heard = $this->walk->clock->isAnswered() ? 0 : $hears;
        $heeded = new Heeded($keys, \count($this->walk->events()), $second, $heard, $second);
        $press = $this->walk->keys->whileHeeded($heeded);
        try {
            return null === $press ? $do() : $this->pressed($press, $keys, $do, $hears);
        } finally {
            $this->walk->keys->heedsNoMore($heeded, $this->walk->second());
        }
    }

    /**
     * @param non-empty-list<string> $keys
     * @param \Closure(): Onward     $do
     *
     * @throws CallOver
     * @throws TimeUp
     */
    private function pressed(KeyPress $press, array $keys, \Closure $do, ?int $hears): Onward
    {
        $key = self::meant($press->keys, $keys);
        $after = $press->after ?? self::SOON;
        $at = $this->walk->second() + $after;
        $isHeard = $this->walk->clock->isAnswered() || (null !== $hears && $after >= $hears);
        $isHeeded = $isHeard && Lists::has($keys, $key);
        $this->walk->clock->willInterrupt($isHeeded ? $at : null);
        try {
            $onward = $do();
            // Others are by now, if it comes to that.
            $isHeeded = $isHeeded && $this->walk->second() === $at;
        } catch (Interrupted) {
            $onward = Onward::by($key);
        } finally {
            $this->walk->clock->willInterrupt(null);
        }
        if ($this->walk->second() >= $at) {
            $this->walk->note(new KeyMeanwhile($key, $after, $isHeard, $isHeeded), $at);
        }

        return $onward;
    }

    /**
     * The longest of those that are heeded with which it begins, else its first key.
     *
     * @param list<string> $heeded
     */
    private static function meant(string $pressed, array $heeded): string
    {
        $meant = substr($pressed, 0, 1);
        foreach ($heeded as $keys) {
            if (\strlen($keys) > \strlen($meant) && str_starts_with($pressed, $keys)) {
                $meant = $keys;
            }
        }

        return $meant;
    }
}
