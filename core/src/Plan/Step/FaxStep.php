<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Listens for a fax machine; what it sends goes to a mailbox as a document. Everybody else goes on. */
final readonly class FaxStep implements Step
{
    use OfAStep;
    use WithoutExits;

    /** Within so many seconds a fax machine is heard: its tone lasts half a second and comes again after 3 s, each give or take 15 % (ITU-T T.30, 4.3.3; from memory). */
    public const HEARD_WITHIN = 4;
    public const LONGEST = 30;

    /** @param string|null $prompt heard meanwhile, so that callers are not left in silence */
    public function __construct(
        private AboutStep $about,
        public ?string $mailbox,
        public int $seconds,
        public ?string $prompt,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'mailbox', 'seconds', 'prompt']);

        return new self(
            AboutStep::fromJson($in),
            $in->field('mailbox')->reference(),
            $in->field('seconds')->whole(1, self::LONGEST, 'seconds', self::HEARD_WITHIN),
            $in->field('prompt')->reference(),
        );
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson('fax'),
            'mailbox' => $this->mailbox,
            'seconds' => $this->seconds,
            'prompt' => $this->prompt,
        ];
    }

    public function references(string $pointer): array
    {
        $references = [];
        if (null !== $this->mailbox) {
            $references[] = new Reference(
                $this->mailbox,
                $pointer . '/mailbox',
                [Kind::Mailbox],
                'takes faxes into it',
            );
        }
        if (null !== $this->prompt) {
            $references[] = new Reference(
                $this->prompt,
                $pointer . '/prompt',
                [Kind::Prompt],
                'plays it while it listens for a fax',
            );
        }

        return $references;
    }

    public function unfinished(): ?string
    {
        return null === $this->mailbox ? 'mailbox' : null;
    }

    public function letsPassUnasked(): bool
    {
        return true;
    }

    public function isLast(): bool
    {
        return false;
    }

    public function leadsTo(): null
    {
        return null;
    }

    public function takenBy(): ?string
    {
        return $this->mailbox;
    }

    public function waysOn(Plan $plan): array
    {
        return ['' => max($this->seconds, Prompt::longestIn($plan, $this->prompt))];
    }
}
