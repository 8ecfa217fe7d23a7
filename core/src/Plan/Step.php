<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Step\AgainStep;
use Meandros\Core\Plan\Step\CallerStep;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Plan\Step\EndStep;
use Meandros\Core\Plan\Step\Exits;
use Meandros\Core\Plan\Step\FaxStep;
use Meandros\Core\Plan\Step\ForwardStep;
use Meandros\Core\Plan\Step\GoStep;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\ParkStep;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\SayStep;
use Meandros\Core\Plan\Step\TagStep;
use Meandros\Core\Reading\Input;

/**
 * One thing that happens in a journey: a plain value, with its shape in JSON. What else a kind has is found by its name: the walker
 * of SayStep is Routing\Step\SayWalker, and Typing\TypedSay how it is typed.
 *
 * @phpstan-sealed AgainStep|CallerStep|DirectoryStep|EndStep|FaxStep|ForwardStep|GoStep|HoursStep|MenuStep|MessageStep|ParkStep|QueueStep|RingStep|SayStep|TagStep
 */
interface Step
{
    /** The kinds by the word that stands in "do", in the order in which they are told. */
    public const KINDS = [
        'say' => SayStep::class,
        'hours' => HoursStep::class,
        'caller' => CallerStep::class,
        'menu' => MenuStep::class,
        'directory' => DirectoryStep::class,
        'ring' => RingStep::class,
        'queue' => QueueStep::class,
        'tag' => TagStep::class,
        'message' => MessageStep::class,
        'forward' => ForwardStep::class,
        'park' => ParkStep::class,
        'fax' => FaxStep::class,
        'again' => AgainStep::class,
        'go' => GoStep::class,
        'end' => EndStep::class,
    ];

    public static function fromJson(Input $in): static;

    public function id(): string;

    /** Why it is there, in somebody's own words; empty where nobody said. */
    public function why(): string;

    public function exits(): Exits;

    /** @return array<string, mixed> */
    public function toJson(): array;

    /** The field in which something must still be chosen before the step does anything; null where it is whole. */
    public function unfinished(): ?string;

    /** Whether a call can come past it with nobody asked and nobody rung. */
    public function letsPassUnasked(): bool;

    /** Whether no call goes on to the step after it. */
    public function isLast(): bool;

    /** The journey in which calls go on; null where it leads to none. */
    public function leadsTo(): ?string;

    /** Who or what may take calls here: an element by id, a number in E.164; null where nothing does. */
    public function takenBy(): ?string;

    /**
     * By which exits calls leave it with nobody doing anything, and how many seconds may have passed by then: at most.
     *
     * @return array<string, int> '' for going on without an exit; none where they do not leave it
     */
    public function waysOn(Plan $plan): array;

    /** @return list<Reference> mentions in the step itself, not in its exits */
    public function references(string $pointer): array;
}
