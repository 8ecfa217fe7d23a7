<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** What callers hear before their message. */
final readonly class MailboxGreetings
{
    public const FIELDS = ['greeting', 'greetings', 'away', 'nameRecording'];

    /**
     * @param string|null       $usual       nobody answered, and whatever has no greeting of its own
     * @param string|null       $busy        who was rung is on a call
     * @param string|null       $unreachable none of the phones could be reached
     * @param AwayGreeting|null $away        in place of all others, until it ends
     * @param string|null       $name        a short recording of the name, heard where there is no greeting
     */
    public function __construct(
        public ?string $usual,
        public ?string $busy,
        public ?string $unreachable,
        public ?AwayGreeting $away,
        public ?string $name,
    ) {}

    /** @param Input $in the whole mailbox */
    public static function fromJson(Input $in): self
    {
        $greetings = $in->field('greetings');
        $greetings->isGiven() && $greetings->onlyFields(['busy', 'unreachable']);

        return new self(
            $in->field('greeting')->reference(),
            $greetings->field('busy')->reference(),
            $greetings->field('unreachable')->reference(),
            AwayGreeting::fromJson($in->field('away')),
            $in->field('nameRecording')->reference(),
        );
    }

    /**
     * @param string|null $exit   what became of the last ringing: "busy", "unreachable" …
     * @param bool        $isAway whether the one for a while is in force
     *
     * @return array{string|null, GreetingFor} the prompt, and why it is that one
     */
    public function heard(?string $exit, bool $isAway): array
    {
        $particular = match ($exit) {
            'busy' => [$this->busy, GreetingFor::Busy],
            'unreachable' => [$this->unreachable, GreetingFor::Unreachable],
            default => [null, GreetingFor::Usual],
        };

        return match (true) {
            $isAway && null !== $this->away?->greeting => [$this->away->greeting, GreetingFor::Away],
            null !== $particular[0] => $particular,
            null === $this->usual && null !== $this->name => [$this->name, GreetingFor::Name],
            default => [$this->usual, GreetingFor::Usual],
        };
    }

    /** @return list<string> what may become of ringing and has a greeting of its own */
    public function particular(): array
    {
        return array_keys(array_filter(['busy' => $this->busy, 'unreachable' => $this->unreachable]));
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'greeting' => $this->usual,
            'greetings' => ['busy' => $this->busy, 'unreachable' => $this->unreachable],
            'away' => $this->away?->toJson(),
            'nameRecording' => $this->name,
        ];
    }

    /** @return list<Reference> */
    public function references(): array
    {
        $prompts = [
            '/greeting' => [$this->usual, 'greets with it'],
            '/greetings/busy' => [$this->busy, 'greets with it while busy'],
            '/greetings/unreachable' => [$this->unreachable, 'greets with it where nobody can be reached'],
            '/nameRecording' => [$this->name, 'has it for its name'],
        ];
        $references = [];
        foreach ($prompts as $pointer => [$prompt, $role]) {
            null === $prompt || ($references[] = new Reference($prompt, $pointer, [Kind::Prompt], $role));
        }

        return [...$references, ...$this->away?->references() ?? []];
    }
}
