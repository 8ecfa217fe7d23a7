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
    use OfAStep;

    public const NOBODY = 'nobody';
    public const BUSY = 'busy';
    public const UNREACHABLE = 'unreachable';
    public const REFUSED = 'refused';

    /** @param Target|null $target a person, a team or a number */
    public function __construct(
        private AboutStep $about,
        public ?Target $target,
        public RingLength $length,
        private Exits $exits = new Exits(),
        public RingGreeting $greeting = new RingGreeting(),
    ) {}

    /** What rings somebody to whom a call is sent straight. */
    public static function direct(Target $target, bool $handOver = false): self
    {
        return new self(new AboutStep('ring'), $target, new RingLength(RingLength::DIRECT, $handOver));
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            ...AboutStep::FIELDS,
            'target',
            'seconds',
            'handOver',
            'againMinutes',
            'greeting',
            'greetAfter',
            'exits',
        ]);

        return new self(
            AboutStep::fromJson($in),
            Target::read($in->field('target')),
            RingLength::fromJson($in),
            Exits::fromJson($in->field('exits'), [
                self::NOBODY,
                self::BUSY,
                self::UNREACHABLE,
                self::REFUSED,
                ...Keypad::KEYS,
            ]),
            RingGreeting::fromJson($in),
        );
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson('ring'),
            'target' => $this->target?->text(),
            'seconds' => $this->length->seconds,
            'handOver' => $this->length->handOver,
            'againMinutes' => $this->length->againMinutes,
            'greeting' => $this->greeting->prompt,
            'greetAfter' => $this->greeting->after,
            'exits' => $this->exits->toJson(),
        ];
    }

    public function references(string $pointer): array
    {
        $references = $this->target?->references($pointer . '/target', [Kind::Person, Kind::Team], 'rings it') ?? [];
        if (null !== $this->greeting->prompt) {
            $references[] = new Reference(
                $this->greeting->prompt,
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
        return [self::NOBODY => $this->length->longest(), self::BUSY => 0, self::UNREACHABLE => 0];
    }
}
