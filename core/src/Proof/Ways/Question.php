<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** What is left open at something that happens: what callers may do there, or phones, or the company. */
interface Question
{
    /** What it is about; null where it is settled already, or there is nothing that may be done. */
    public function about(Asking $at): ?string;

    /**
     * Everything with which calls may go on, each as soon and as late as it can.
     *
     * @return list<Acts|Lead> each settles it
     */
    public function answers(Asking $at): array;

    /** Whether a key is taken there, of those that are pressed at one menu after the other. */
    public function takesKey(): bool;

    /** Why other answers may lead to something else; null where none does. */
    public function untried(Asking $at): ?Untried;

    /** Of questions that come one after the other, whatever is done at them, the first has the lowest. */
    public function turn(Asking $at): int;

    /** Seconds since the step began until it comes up: of calls that came alike, the soonest and the latest go on. */
    public function since(Asking $at): int;
}
