<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\Outcome;
use Meandros\Core\Proof\Course;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;

/** What promises look at in the course of a call. */
final class Noticed
{
    /**
     * @param string|null $who a person, a team or a queue; null for whoever it is
     *
     * @return int|null the first second at which a phone of theirs rings, or the caller waits for them; null where there is none
     */
    public static function firstRing(Course $course, ?string $who): ?int
    {
        $first = null;
        foreach ($course->trace->passage->events as $event) {
            $happening = $event->happening;
            $seconds = [];
            if ($happening instanceof QueueEntered && null === $happening->exit && null !== $happening->queue) {
                (null === $who || $who === $happening->queue) && ($seconds[] = $event->second);
            } elseif ($happening instanceof Ringing) {
                $isTheirs = null === $who || (null === $happening->why->turn && $who === $happening->target?->element);
                foreach ($happening->rung as $rung) {
                    null !== $rung->times->rings &&
                        ($isTheirs || $who === $rung->phone->owner->person) &&
                        ($seconds[] = $rung->times->rings);
                }
            }
            $first = [] === $seconds ? $first : min($first ?? \PHP_INT_MAX, ...$seconds);
        }

        return $first;
    }

    /** @return list<string> prompts that are heard, greetings among them, by id */
    public static function prompts(Course $course): array
    {
        $prompts = [];
        foreach ($course->trace->passage->events as $event) {
            $what = $event->happening->noticed();
            foreach (['prompt', 'greeting'] as $field) {
                \is_string($what[$field] ?? null) && ($prompts[] = $what[$field]);
            }
        }

        return array_values(array_unique($prompts));
    }

    /** What callers come away with; null for nothing. */
    public static function outcome(Course $course): ?Outcome
    {
        return match ($course->trace->ending->kind) {
            EndingKind::Answered, EndingKind::Announced, EndingKind::CallbackKept => Outcome::Person,
            EndingKind::Message, EndingKind::Listens, EndingKind::Fax => Outcome::Message,
            EndingKind::Forwarded => Outcome::Outside,
            EndingKind::Announcement => Outcome::Announcement,
            EndingKind::OwnMailbox,
            EndingKind::CallbackInVain,
            EndingKind::EndedByPlan,
            EndingKind::RanOut,
            EndingKind::CallerGaveUp,
            EndingKind::LoopStopped
                => null,
        };
    }
}
