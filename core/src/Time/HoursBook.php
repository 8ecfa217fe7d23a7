<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Answers "which state, until when, and why" for any instant.
 *
 * Time is cut into blocks at fixed places, which are compiled when they are first wanted. A neighbouring change is
 * looked for in longer and longer blocks, so that what is answered does not depend on what was asked before.
 */
final class HoursBook
{
    private const DAY = 86400;
    /** Lengths of blocks; each divides the next, and those of a length follow one another from 1970-01-01 UTC. */
    private const BLOCK_DAYS = [16, 128, 1024, 4096];
    /** Looked through before longer ones are. */
    private const BLOCKS_OF_A_LENGTH = 2;
    /** A change further away than eleven years is told as none: 29 February, the rarest date, comes at least every eight. */
    private const HORIZON = 4018 * self::DAY;
    private const MOST_KEPT = 256;

    /** @var array<string, CompiledHours> by length and place */
    private array $blocks = [];
    /** @var array<int, CompiledHours> the block of a length that was asked for last */
    private array $last = [];

    private ?Timetable $known = null;
    private ?HoursCompiler $compiler = null;

    /**
     * @param \Closure(): Timetable $hours asked for when something has to be compiled
     * @param BlockShelf|null       $shelf of this very timetable
     */
    public function __construct(private readonly \Closure $hours, private readonly ?BlockShelf $shelf = null) {}

    public static function of(Timetable $hours): self
    {
        return new self(static fn(): Timetable => $hours);
    }

    public function read(int $instant): Reading
    {
        [$state, $since, $until] = $this->held($instant);

        return new Reading($state, $this->block(0, $instant)->decisionAt($instant), $since, $until);
    }

    /** @return array{string, int|null, int|null} what a reading tells without what decided it: the state, since and until when */
    public function held(int $instant): array
    {
        $block = $this->block(0, $instant);
        [$state, $since, $until] = $held = $block->heldAt($instant);
        if (null === $since && null === $until && $this->hours()->isSteady()) {
            return $held;
        }

        return [
            $state,
            $since ?? $this->since($state, $block->from, $instant),
            $until ?? $this->until($state, $block->until, $instant),
        ];
    }

    /** The first instant from $at on with another state. */
    private function until(string $state, int $at, int $instant): ?int
    {
        for ($i = 0; $at < $instant + self::HORIZON; ++$i) {
            $block = $this->block(self::level($i), $at);
            $change = $block->nextOther($state, $at);
            if (null !== $change) {
                return $change < $instant + self::HORIZON ? $change : null;
            }
            $at = $block->until;
        }

        return null;
    }

    /** The instant before $at from which on the state has held. */
    private function since(string $state, int $at, int $instant): ?int
    {
        for ($i = 0; $at > $instant - self::HORIZON; ++$i) {
            $block = $this->block(self::level($i), $at - 1);
            $change = $block->lastOther($state, $at);
            if (null !== $change) {
                return $change > $instant - self::HORIZON ? $change : null;
            }
            $at = $block->from;
        }

        return null;
    }

    /** @param int $i how many blocks were looked through: two of each length reach further than the horizon */
    private static function level(int $i): int
    {
        return intdiv($i, self::BLOCKS_OF_A_LENGTH);
    }

    private function block(int $level, int $instant): CompiledHours
    {
        $last = $this->last[$level] ?? null;
        if (null !== $last && $instant >= $last->from && $instant < $last->until) {
            return $last;
        }
        $length = self::BLOCK_DAYS[$level] * self::DAY;
        $from = (int) floor($instant / $length) * $length;
        $block = $this->blocks[$level . ' ' . $from] ??= $this->compiled($level . ' ' . $from, $from, $from + $length);
        if (\count($this->blocks) > self::MOST_KEPT) {
            array_shift($this->blocks);
        }

        return $this->last[$level] = $block;
    }

    private function compiled(string $name, int $from, int $until): CompiledHours
    {
        $compiled = $this->shelf?->find($name);
        if (null === $compiled) {
            $this->compiler ??= new HoursCompiler($this->hours());
            $compiled = $this->compiler->over($from, $until);
            $this->shelf?->keep($name, $compiled);
        }

        return $compiled;
    }

    private function hours(): Timetable
    {
        return $this->known ??= ($this->hours)();
    }
}
