<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\CallerActs;
use Meandros\Core\Call\KeyPress;

/** What a caller presses, one after the other: at menus, and at steps that heed keys while something is heard or rings. */
final class KeysTaken
{
    private int $menus = 0;
    private int $meanwhile = 0;
    /** @var list<Heeded> */
    private array $heeded = [];

    public function __construct(private readonly CallerActs $caller) {}

    /** Goes on from what another has taken. */
    public function goOnFrom(self $other): void
    {
        [$this->menus, $this->meanwhile] = [$other->menus, $other->meanwhile];
    }

    /** What the caller presses at the next menu, if anything is left. */
    public function atMenu(): ?KeyPress
    {
        return $this->caller->keys[$this->menus++] ?? null;
    }

    /** How many menus have asked. */
    public function menus(): int
    {
        return $this->menus;
    }

    /** What the caller presses at the next step that heeds keys meanwhile, if anything is left. */
    public function whileHeeded(Heeded $heeded): ?KeyPress
    {
        $this->heeded[] = $heeded;
        $press = $this->caller->meanwhile[$this->meanwhile++] ?? null;

        return null === $press || '' === $press->keys ? null : $press;
    }

    /** They are heeded no longer from a second on; they were not since others began to be heeded meanwhile. */
    public function heedsNoMore(Heeded $heeded, int $second): void
    {
        $place = (int) array_search($heeded, $this->heeded, true);
        $next = $this->heeded[$place + 1] ?? null;
        array_splice($this->heeded, $place, 1, [$heeded->until($next->from ?? $second)]);
    }

    /** @return list<Heeded> each time that keys were heeded meanwhile */
    public function heeded(): array
    {
        return $this->heeded;
    }
}
