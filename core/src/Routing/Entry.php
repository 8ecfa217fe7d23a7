<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\InvalidData;

/**
 * Where a dialled number enters the plan, or a call that is tried straight to something. A number that points straight at a person, a team or a mailbox is the
 * shortest of journeys: ring them, then their own mailbox if they have one.
 */
final readonly class Entry
{
    private function __construct(
        public EntryPoint $at,
        public ?Target $target,
        public StepList $steps,
        public EntryLine $line = new EntryLine(),
        public bool $isTried = false,
    ) {}

    /** @throws InvalidData when nothing of the plan is reached by it */
    public static function find(Plan $plan, string $dialled): self
    {
        $element = $plan->dialled($dialled) ?? $plan->find($dialled);

        return match (true) {
            $element instanceof TakesCalls && $element->id() === $dialled => self::tried($plan, $element),
            $element instanceof Number => self::byNumber($plan, $element, $dialled),
            $element instanceof Person => self::inside(
                $plan,
                $element,
                $element->site,
                Target::element($element->id()),
            ),
            $element instanceof Hours => self::inside($plan, $element, $element->clock->site, null),
            $element instanceof Queue => self::inside($plan, $element, null, null),
            $element instanceof Site => throw InvalidData::at('/to', 'park-place-called', [
                'place' => $dialled,
                'site' => $element->name(),
            ]),
            default => throw InvalidData::at('/to', 'not-dialled', ['number' => PhoneNumber::international($dialled)]),
        };
    }

    private static function byNumber(Plan $plan, Number $number, string $dialled): self
    {
        $inBlock = InBlock::of($plan, $number, $dialled);
        $target = null === $inBlock ? $number->target : $inBlock->target;

        return new self(
            new EntryPoint($number->id(), $number->name(), $number->line->language, $number->line->site, $dialled),
            $target,
            self::direct($plan, $target),
            new EntryLine($number->line->tellsCaller, $inBlock, $number->line->keptUntil),
        );
    }

    /** Something that no number needs to lead to yet: tried as if one of the first site did. */
    private static function tried(Plan $plan, TakesCalls $element): self
    {
        $site = $plan->all(Site::class)[0] ?? null;
        $target = Target::element($element->id());

        return new self(
            new EntryPoint($element->id(), $element->name(), $site->place->language ?? Language::DEFAULT, $site?->id()),
            $target,
            self::direct($plan, $target),
            isTried: true,
        );
    }

    /** An extension or a code: dialled inside, in the language of its site. */
    private static function inside(Plan $plan, Element $element, ?string $site, ?Target $target): self
    {
        return new self(
            new EntryPoint(
                $element->id(),
                $element->name(),
                $plan->get(Site::class, $site)->place->language ?? Language::DEFAULT,
                $site,
            ),
            $target,
            self::direct($plan, $target),
        );
    }

    public function by(Caller $caller): Arrival
    {
        return new Arrival($this->at, $this->hides($caller) ? Caller::withheld() : $caller);
    }

    /** Whether the line keeps the caller's number to itself. */
    public function hides(Caller $caller): bool
    {
        return !$this->line->tellsCaller && !$caller->isExtension();
    }

    /**
     * The steps behind a target. A rule that passes a call back passes it on to the mailbox: there is nowhere else that a
     * direct call came from.
     */
    private static function direct(Plan $plan, ?Target $target): StepList
    {
        $element = $plan->find($target?->element);

        return $element instanceof TakesCalls ? $element->directSteps() : new StepList([]);
    }

    /** @return list<array<string, mixed>> the steps of a number without a journey, for showing them */
    public static function directSteps(Plan $plan, string $dialled): array
    {
        $entry = self::find($plan, $dialled);

        return $plan->find($entry->target?->element) instanceof Journey ? [] : $entry->steps->toJson();
    }
}
