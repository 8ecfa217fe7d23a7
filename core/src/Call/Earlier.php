<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** What earlier calls left behind, for the patterns that look back: an explicit input of a trial call. */
final readonly class Earlier
{
    /** Somebody of whom nothing is said has been idle for longer than anybody. */
    private const NEVER_RANG = \PHP_INT_MAX;

    /**
     * @param array<string, string> $last  who rang last, by team
     * @param array<string, int>    $idle  seconds since the last call, by member
     * @param array<string, int>    $calls taken today, by member
     */
    public function __construct(
        public array $last = [],
        private array $idle = [],
        public array $calls = [],
        public int $seed = 1,
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['last', 'members', 'seed']);
        $last = $idle = $calls = [];
        foreach ($in->field('last')->items(Limits::MEMBERS) as $item) {
            $item->onlyFields(['team', 'who']);
            $last[$item->field('team')->once($last)] = $item->field('who')->text(Limits::TARGET);
        }
        foreach ($in->field('members')->items(Limits::ASSUMPTIONS) as $item) {
            $item->onlyFields(['who', 'idle', 'calls']);
            $who = $item->field('who')->once($calls);
            if ($item->field('idle')->isGiven()) {
                $idle[$who] = $item->field('idle')->whole(0, 604800, 'seconds');
            }
            $calls[$who] = $item->field('calls')->whole(0, 100000, 'calls', 0);
        }

        return new self($last, $idle, $calls, $in->field('seed')->whole(0, 1000000, 'the seed', 1));
    }

    public function lastOf(string $team): ?string
    {
        return $this->last[$team] ?? null;
    }

    public function idleSeconds(string $who): int
    {
        return $this->idle[$who] ?? self::NEVER_RANG;
    }

    /** Whether the last call of a member is at least so long ago. */
    public function isIdleFor(string $who, int $seconds): bool
    {
        return $this->idleSeconds($who) >= $seconds;
    }

    public function calls(string $who): int
    {
        return $this->calls[$who] ?? 0;
    }
}
