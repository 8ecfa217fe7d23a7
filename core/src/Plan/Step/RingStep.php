<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;

/** Rings a person, a team or an outside number for so many seconds, then comes back. Exits named by keys are for callers who press them meanwhile. */
final readonly class RingStep implements Step
{
    use AsksSomebody;

    public const NOBODY = 'nobody';
    public const BUSY = 'busy';
    public const UNREACHABLE = 'unreachable';
    public const REFUSED = 'refused';
    /** Seconds. */
    public const LONGEST = 600;
    public const DEFAULT_SECONDS = 20;
    /** Of a call that is sent straight to somebody. */
    public const DIRECT_SECONDS = 25;
    public const MOST_MINUTES = 60;
    private const DEFAULT_GREET_AFTER = 10;

    /**
     * @param Target|null $target       a person, a team or a number
     * @param bool        $handOver     for good: the rules of the person decide how the call ends, and the seconds do not count
     * @param int         $againMinutes the caller is kept, and the ringing begins anew, for up to so long; 0 to ring once
     * @param string|null $greeting     a prompt that is played while the phones ring on
     * @param int         $greetAfter   seconds of ringing before the greeting
     */
    public function __construct(
        private string $id,
        public ?Target $target,
        public int $seconds = self::DEFAULT_SECONDS,
        private Exits $exits = new Exits(),
        public bool $handOver = false,
        public int $againMinutes = 0,
        public ?string $greeting = null,
        public int $greetAfter = self::DEFAULT_GREET_AFTER,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            'id',
            'do',
            'target',
            'seconds',
            'handOver',
            'againMinutes',
            'greeting',
            'greetAfter',
            'exits',
        ]);

        return new self(
            $in->field('id')->id(),
            Target::read($in->field('target')),
            $in->field('seconds')->whole(1, self::LONGEST, 'seconds', self::DEFAULT_SECONDS),
            Exits::fromJson($in->field('exits'), [
                self::NOBODY,
                self::BUSY,
                self::UNREACHABLE,
                self::REFUSED,
                ...Keypad::KEYS,
            ]),
            $in->field('handOver')->flag(false),
            $in->field('againMinutes')->whole(0, self::MOST_MINUTES, 'minutes', 0),
            $in->field('greeting')->reference(),
            $in->field('greetAfter')->whole(0, self::LONGEST, 'seconds', self::DEFAULT_GREET_AFTER),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'do' => 'ring',
            'target' => $this->target?->text(),
            'seconds' => $this->seconds,
            'handOver' => $this->handOver,
            'againMinutes' => $this->againMinutes,
            'greeting' => $this->greeting,
            'greetAfter' => $this->greetAfter,
            'exits' => $this->exits->toJson(),
        ];
    }

    public function references(string $pointer): array
    {
        $references = $this->target?->references($pointer . '/target', [Kind::Person, Kind::Team], 'rings it') ?? [];
        if (null !== $this->greeting) {
            $references[] = new Reference(
                $this->greeting,
                $pointer . '/greeting',
                [Kind::Prompt],
                'greets with it while ringing',
            );
        }

        return $references;
    }

    public function unfinished(): ?string
    {
        return null === $this->target ? 'target' : null;
    }

    public function takenBy(): ?string
    {
        return $this->target?->text();
    }

    public function waysOn(Plan $plan): array
    {
        $seconds = $this->againMinutes > 0 ? 60 * $this->againMinutes : $this->seconds;

        return [self::NOBODY => $seconds, self::BUSY => 0, self::UNREACHABLE => 0];
    }
}
