<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;

/**
 * Where a dialled number enters the plan. A number that points straight at a person, a team or a mailbox is the
 * shortest of journeys: ring them, then their own mailbox if they have one.
 */
final readonly class Entry
{
    public const RING_SECONDS = 25;

    private function __construct(
        public string $element,
        public string $label,
        public string $language,
        public ?string $target,
        public ?string $journey,
        public StepList $steps,
    ) {
    }

    /** @throws InvalidData */
    public static function find(Plan $plan, string $dialled): self
    {
        foreach ($plan->mentioning($dialled) as $element) {
            if ($element instanceof Number && $element->number === $dialled) {
                $journey = $plan->get(Journey::class, $element->target)?->id();

                return new self($element->id(), $element->name(), $element->language, $element->target, $journey, self::direct($plan, $element->target));
            }
            if ($element instanceof Person && '' !== $dialled && $element->extension === $dialled) {
                $language = $plan->get(Site::class, $element->site)->language ?? 'en';

                return new self($element->id(), $element->name(), $language, $element->id(), null, self::direct($plan, $element->id()));
            }
            if ($element instanceof Hours && null !== $element->code($dialled)) {
                $language = $plan->get(Site::class, $element->site)->language ?? 'en';

                return new self($element->id(), $element->name(), $language, null, null, new StepList([]));
            }
        }

        throw InvalidData::at('/to', \sprintf('%s is not a number of this plan.', PhoneNumber::international($dialled)), 'Choose one of its numbers, or add this one.');
    }

    /** The steps behind a target that is not a journey. */
    private static function direct(Plan $plan, ?string $target): StepList
    {
        $element = $plan->find($target);
        $mailbox = $element instanceof Person ? $element->mailbox : null;

        return new StepList(match (true) {
            $element instanceof Person && [] !== $element->rules => [new RingStep('ring', $target, self::RING_SECONDS, handOver: true)],
            $element instanceof Person && null !== $mailbox => [new RingStep('ring', $target, self::RING_SECONDS), new MessageStep('message', $mailbox)],
            $element instanceof Person, $element instanceof Team => [new RingStep('ring', $target, self::RING_SECONDS)],
            $element instanceof Mailbox => [new MessageStep('message', $target)],
            default => [],
        });
    }

    /** @return list<array<string, mixed>> the steps of a number without a journey, for showing them */
    public static function directSteps(Plan $plan, string $dialled): array
    {
        return self::find($plan, $dialled)->steps->toJson();
    }
}
