<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Step\Exits;
use Meandros\Core\Reading\Input;

/**
 * One thing that happens in a journey: a plain value, with its shape in JSON.
 *
 * @phpstan-sealed Step\AgainStep|Step\CallerStep|Step\DirectoryStep|Step\EndStep|Step\FaxStep|Step\ForwardStep|Step\GoStep|Step\HoursStep|Step\MenuStep|Step\MessageStep|Step\ParkStep|Step\QueueStep|Step\RingStep|Step\SayStep|Step\TagStep
 */
interface Step
{
    public static function fromJson(Input $in): static;

    public function id(): string;

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
