<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Lets the caller wait in a queue. Whoever is answered there stays; the exits are for the others. */
final readonly class QueueStep implements Step
{
    use AsksSomebody;
    use OfAStep;

    public const NO_AGENTS = 'no agents';
    public const FULL = 'full';
    public const TOO_LONG = 'too long';
    public const WAITED = 'waited';
    public const KEY = 'key';
    /** Nobody who is signed in can be reached by any phone. */
    public const UNREACHABLE = 'unreachable';
    /** The caller keeps the place and hangs up: what is heard before that. */
    public const CALLBACK = 'callback';
    public const EXITS = [
        self::NO_AGENTS,
        self::UNREACHABLE,
        self::FULL,
        self::TOO_LONG,
        self::WAITED,
        self::KEY,
        self::CALLBACK,
    ];

    public function __construct(private AboutStep $about, public ?string $queue, private Exits $exits = new Exits()) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'queue', 'exits']);

        return new self(
            AboutStep::fromJson($in),
            $in->field('queue')->reference(),
            Exits::fromJson($in->field('exits'), self::EXITS),
        );
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('queue'), 'queue' => $this->queue, 'exits' => $this->exits->toJson()];
    }

    public function references(string $pointer): array
    {
        return null === $this->queue
            ? []
            : [new Reference($this->queue, $pointer . '/queue', [Kind::Queue], 'lets callers wait in it')];
    }

    public function unfinished(): ?string
    {
        return null === $this->queue ? 'queue' : null;
    }

    public function takenBy(): ?string
    {
        return $this->queue;
    }

    public function waysOn(Plan $plan): array
    {
        $queue = $plan->get(Queue::class, $this->queue);

        return null === $queue
            ? ['' => 0]
            : array_filter(
                [
                    self::NO_AGENTS => $queue->callers->admission->needsAgent ? 0 : null,
                    self::UNREACHABLE => $queue->callers->admission->needsAgent ? 0 : null,
                    self::FULL => null === $queue->callers->admission->mostWaiting ? null : 0,
                    self::TOO_LONG => null === $queue->callers->admission->mostExpectedSeconds ? null : 0,
                    self::WAITED =>
                        true === $queue->callers->callback?->offer->atTheEnd
                            ? null
                            : $queue->callers->waiting->longestSeconds,
                ],
                static fn(?int $seconds): bool => null !== $seconds,
            );
    }
}
