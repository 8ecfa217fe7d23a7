<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Call\Tag;
use Meandros\Core\Plan\Element\LengthFrom;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\FaxStep;
use Meandros\Core\Plan\Step\ForwardStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Answering\Choice;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Routing\Happening\AskedAgain;
use Meandros\Core\Routing\Happening\CallerToldApart;
use Meandros\Core\Routing\Happening\CodeDialled;
use Meandros\Core\Routing\Happening\ComesBackIn;
use Meandros\Core\Routing\Happening\Dialled;
use Meandros\Core\Routing\Happening\ExtensionDialled;
use Meandros\Core\Routing\Happening\FaxLookedFor;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\HoursRead;
use Meandros\Core\Routing\Happening\KeyMeanwhile;
use Meandros\Core\Routing\Happening\MessageTaken;
use Meandros\Core\Routing\Happening\NameSpelled;
use Meandros\Core\Routing\Happening\NamesRead;
use Meandros\Core\Routing\Happening\Over;
use Meandros\Core\Routing\Happening\ParkedAt;
use Meandros\Core\Routing\Happening\QueueHappening;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Happening\SentOn;
use Meandros\Core\Routing\Happening\Tagged;
use Meandros\Core\Routing\Happening\TriesAgain;
use Meandros\Core\Routing\Happening\Went;
use Meandros\Core\Routing\Stop;
use Meandros\Core\Routing\Trace;

/** Events of a trace in words: what happened, and why. */
final readonly class EventWords
{
    private const MOST_NAMES = 8;

    private Names $names;
    private NumberWords $numbers;
    private QueueWords $queue;
    private MenuWords $menus;
    private DirectoryWords $directory;
    private MailboxWords $mailbox;

    public function __construct(Plan $plan)
    {
        $this->names = new Names($plan);
        $this->numbers = new NumberWords($this->names);
        $this->queue = new QueueWords($this->names);
        $this->menus = new MenuWords($this->names);
        $this->directory = new DirectoryWords($this->names);
        $this->mailbox = new MailboxWords($this->names);
    }

    /** @return list<array{id: string, kind: string, name: string, why: string}> why what it names is as it is, and why its step is there; each once, where a call comes to it first */
    public function whys(Event $event): array
    {
        if (null !== $event->journey && null !== $event->step) {
            $this->names->come($event->journey, $event->step);
        }

        return $this->names->whys();
    }

    public function what(Happening $happening): string
    {
        return match (true) {
            $happening instanceof Dialled => $this->numbers->what($happening),
            $happening instanceof ComesBackIn => \sprintf('Comes back in by %s', $this->names->of($happening->element)),
            $happening instanceof Said => null === $happening->prompt
                ? 'Says nothing'
                : \sprintf('Hears “%s”', $this->names->of($happening->prompt)),
            $happening instanceof HoursRead => null === $happening->reading
                ? 'No hours to look at'
                : \sprintf('%s: %s', $this->names->of($happening->hours), $this->stateName($happening)),
            $happening instanceof Asked => $this->menus->what($happening),
            $happening instanceof Ringing => $this->ringing($happening),
            $happening instanceof MessageTaken => $this->mailbox->what($happening),
            $happening instanceof Went => null === $happening->journey
                ? 'Goes nowhere'
                : \sprintf('Goes on in %s', $this->names->of($happening->journey)),
            $happening instanceof TriesAgain => \sprintf(
                'Is kept, and it rings again for up to %s',
                Duration::words(60 * $happening->minutes),
            ),
            $happening instanceof QueueHappening => $this->queue->what($happening),
            $happening instanceof AskedAgain => 0 === $happening->up
                ? 'Goes back to the menu'
                : \sprintf('Goes up %d %s', $happening->up, 1 === $happening->up ? 'menu' : 'menus'),
            $happening instanceof ExtensionDialled => '' === $happening->extension
                ? \sprintf('Reaches %s', $this->names->of($happening->who))
                : \sprintf('Reaches extension %s, %s', $happening->extension, $this->names->of($happening->who)),
            $happening instanceof SentOn => $this->sentOn($happening),
            $happening instanceof CallerToldApart => null === $happening->list
                ? 'The caller is in none of the lists'
                : \sprintf(
                    'The caller is %s of %s',
                    '' === $happening->entry?->name ? 'one' : $happening->entry?->name,
                    $this->names->of($happening->list),
                ),
            $happening instanceof Tagged => $happening->tag->isEmpty()
                ? 'Nothing is put on the call'
                : 'From here on: ' . implode(', ', self::tags($happening->tag)),
            $happening instanceof KeyMeanwhile => \sprintf(
                $happening->known ? 'Presses %s' : 'Presses %s, which does nothing',
                $happening->key,
            ),
            $happening instanceof ParkedAt => $this->parked($happening),
            $happening instanceof FaxLookedFor => $happening->isFax
                ? \sprintf('A fax machine is heard; the document goes to %s', $this->names->of($happening->mailbox))
                : \sprintf('No fax machine is heard for %s', Duration::words($happening->seconds)),
            $happening instanceof NameSpelled, $happening instanceof NamesRead => $this->directory->what($happening),
            $happening instanceof CodeDialled => ucfirst($this->names->code($happening)),
            $happening instanceof Over => $this->over($happening),
        };
    }

    public function because(Happening $happening): string
    {
        return match (true) {
            $happening instanceof Dialled => $this->numbers->because($happening),
            $happening instanceof Said => $this->said($happening) . BlankWords::of($happening->heard->filled),
            $happening instanceof HoursRead => $this->hours($happening),
            $happening instanceof Asked => $this->menus->because($happening),
            $happening instanceof Ringing => trim(
                $this->queue->turn($happening->why->turn) . ' ' . $this->rung($happening),
            ),
            $happening instanceof MessageTaken => $this->mailbox->because($happening),
            $happening instanceof ComesBackIn => 'It is one of our own numbers, so the call leaves by no line.',
            $happening instanceof TriesAgain
                => 'The step or the rule says so; rounds in which nobody answers are drawn as bars.',
            $happening instanceof Went => null === $happening->journey
                ? 'No journey is chosen.'
                : ($happening->comesBack
                    ? 'The step says so; the call comes back when that runs out.'
                    : 'The step says so; the call does not come back.'),
            $happening instanceof QueueHappening => $this->queue->because($happening),
            $happening instanceof AskedAgain => 'The step says so.',
            $happening instanceof ExtensionDialled => null === $happening->closed
                ? 'Callers may reach them here.'
                : \sprintf('%s is closed, so their mailbox takes the call.', $this->names->of($happening->closed)),
            $happening instanceof SentOn => $this->whySentOn($happening),
            $happening instanceof CallerToldApart => $this->toldApart($happening),
            $happening instanceof Tagged => $happening->tag->isEmpty() ? 'Nothing is chosen.' : 'The step says so.',
            $happening instanceof KeyMeanwhile => self::meanwhile($happening),
            $happening instanceof ParkedAt => $this->whyParked($happening),
            $happening instanceof FaxLookedFor => self::fax($happening),
            $happening instanceof NameSpelled, $happening instanceof NamesRead => $this->directory->because($happening),
            $happening instanceof CodeDialled => $this->code($happening),
            $happening instanceof Over => $this->whyOver($happening),
        };
    }

    /** What whoever rings sees of the call, where that is more than what was dialled. */
    public function shown(Event $event, Trace $trace): string
    {
        $shown = $event->shown;
        $words = array_filter([
            $shown->label === ($trace->passage->events[0] ?? $event)->shown->label
                ? null
                : \sprintf('“%s”', $shown->label),
            null === $shown->tone ? null : \sprintf('the ring tone “%s”', $shown->tone),
            null === $shown->note ? null : \sprintf('the note “%s”', $shown->note),
        ]);

        return $event->happening instanceof Ringing && [] !== $words
            ? \sprintf('They get %s.', implode(', ', $words))
            : '';
    }

    private static function meanwhile(KeyMeanwhile $pressed): string
    {
        return match (true) {
            $pressed->known => \sprintf('After %s of it; the step heeds this key.', Duration::words($pressed->after)),
            $pressed->isHeard => 'The step has no exit by this key.',
            default => 'The call is not answered yet, so nobody hears keys.',
        };
    }

    private function parked(ParkedAt $parked): string
    {
        return match (true) {
            null === $parked->site => 'Is parked nowhere',
            null === $parked->place => \sprintf('No park place of %s is free', $this->names->of($parked->site)),
            null === $parked->takenAfter => \sprintf('Is parked at %s', $parked->place),
            default => \sprintf(
                'Is parked at %s, and taken after %s',
                $parked->place,
                Duration::words($parked->takenAfter),
            ),
        };
    }

    private function whyParked(ParkedAt $parked): string
    {
        $music =
            null === $parked->prompt ? '' : \sprintf(' “%s” is heard meanwhile.', $this->names->of($parked->prompt));

        return match (true) {
            null === $parked->site => 'No site is chosen.',
            null === $parked->place => 'The places that are meant are taken, or there are none.',
            default => \sprintf(
                '%s Whoever dials %s takes the call%s.%s',
                '' === $parked->step->place
                    ? \sprintf('The first place of %s that is free.', $this->names->of($parked->site))
                    : 'The place that is meant.',
                $parked->place,
                null === $parked->by ? '' : \sprintf(': %s does', $this->names->of($parked->by)),
                $music,
            ),
        };
    }

    private static function fax(FaxLookedFor $fax): string
    {
        return match (true) {
            null === $fax->mailbox => 'No mailbox is chosen.',
            $fax->isFax => \sprintf(
                'Its tone comes again and again; it is heard within %s.',
                Duration::words($fax->seconds),
            ),
            $fax->calls => \sprintf(
                'A fax machine calls, but its tone can come later than that: it is heard for certain within %s.',
                Duration::words(FaxStep::HEARD_WITHIN),
            ),
            0 === $fax->silence() => 'It costs the caller nothing: they hear words meanwhile.',
            default => \sprintf('It costs the caller %s of silence.', Duration::words($fax->silence())),
        };
    }

    private function code(CodeDialled $dialled): string
    {
        return match (true) {
            !$dialled->allowed => \sprintf('The code %s works from an extension only.', $dialled->code->code),
            null === $dialled->code->state => \sprintf('The code %s lifts it at once.', $dialled->code->code),
            null === $dialled->until => \sprintf(
                'The code %s does it at once, until it is lifted.',
                $dialled->code->code,
            ),
            default => \sprintf(
                'The code %s does it at once, until the next change at %s.',
                $dialled->code->code,
                When::instant($dialled->until, $dialled->zone),
            ),
        };
    }

    private function stateName(HoursRead $happening): string
    {
        return $this->names->state((string) $happening->hours, $happening->reading->state ?? '');
    }

    private function hours(HoursRead $happening): string
    {
        if (null === $happening->reading) {
            return 'No hours are chosen.';
        }
        $words = ucfirst(StateReason::words($happening->reading, $happening->zone));

        return $happening->hasExit ? $words : $words . ' This state has no exit here, so the call goes on.';
    }

    private function said(Said $said): string
    {
        return match (true) {
            null === $said->prompt => 'No prompt is chosen.',
            0 === $said->seconds => 'The prompt has no words yet.',
            !$said->toTheEnd => \sprintf(
                $said->ringing > 0 ? 'Only its first %s, while the phones ring.' : 'Only its first %s.',
                Duration::words($said->seconds),
            ),
            $said->ringing > 0 && $said->ringing < $said->seconds => \sprintf(
                'For %s; the phones ring on for %s of it.',
                Duration::words($said->seconds),
                Duration::words($said->ringing),
            ),
            $said->ringing > 0 => \sprintf('For %s, while the phones ring on.', Duration::words($said->seconds)),
            $said->language !== $said->wantedLanguage => \sprintf(
                'In %s, because there is no script in %s.',
                LanguageName::of($said->language),
                LanguageName::of($said->wantedLanguage),
            ),
            default => \sprintf(
                'Heard for %s in %s, the number’s language%s.',
                Duration::words($said->seconds),
                LanguageName::of($said->wantedLanguage),
                self::lengthFrom($said->heard->from),
            ),
        };
    }

    private static function lengthFrom(LengthFrom $from): string
    {
        return match ($from) {
            LengthFrom::Take => ': as long as its take',
            LengthFrom::Machine => ': as long as the machine voice takes',
            LengthFrom::PartsAndWords => ': its parts as they sound, what fills its blanks counted from its words',
            LengthFrom::Words => ', counted from its words',
        };
    }

    private function ringing(Ringing $ringing): string
    {
        $who = $this->names->target($ringing->target);

        return match ($ringing->exit) {
            null => $ringing->isAnnouncement()
                ? \sprintf('The phones of %s answer by themselves', $who)
                : \sprintf(
                    $ringing->lostToMailbox() ? 'Rings %s for %s' : 'Rings %s, answered after %s',
                    $who,
                    Duration::words($ringing->seconds),
                ),
            RingStep::BUSY => \sprintf('%s: busy', $who),
            RingStep::REFUSED => \sprintf('%s: refused', $who),
            RingStep::UNREACHABLE => null === $ringing->target ? 'Rings nobody' : \sprintf('%s: unreachable', $who),
            default => \sprintf('Rings %s for %s', $who, Duration::words($ringing->seconds)),
        };
    }

    private function rung(Ringing $ringing): string
    {
        if (null === $ringing->target) {
            return 'Nobody is chosen.';
        }
        $rule = self::rule($ringing->why->choice);
        if ([] === $ringing->rung) {
            return $rule .
                ($ringing->why->choice?->isSilent()
                    ? \sprintf(
                        'Their status is “%s”, and no rule is meant for that.',
                        $ringing->why->choice->status->value,
                    )
                    : 'There is no phone to ring.');
        }
        $outcomes = $byOutcome = [];
        foreach ($ringing->rung as $rung) {
            $outcomes[$this->owner($rung)][$rung->outcome] = true;
        }
        foreach ($ringing->rung as $rung) {
            $owner = $this->owner($rung);
            // Somebody whose phones fared differently is told phone by phone.
            $byOutcome[$rung->outcome][] =
                \count($outcomes[$owner]) > 1 ? \sprintf('%s (%s)', $owner, $rung->phone->label) : $owner;
        }
        $groups = array_map(self::group(...), array_keys($byOutcome), $byOutcome);
        $lead =
            null !== $ringing->exit && $ringing->seconds > 0 && $ringing->seconds === $ringing->limitSeconds
                ? \sprintf('The limit of %s was reached. ', Duration::words($ringing->limitSeconds))
                : '';

        return $rule . $lead . implode(' ', $groups);
    }

    private static function rule(?Choice $choice): string
    {
        $words = [];
        foreach ($choice->considered ?? [] as $one) {
            $words[] =
                null === $one->why
                    ? \sprintf('The rule “%s” holds.', $one->name)
                    : \sprintf('“%s” does not: %s.', $one->name, $one->why);
        }
        if (null !== $choice && [] !== $words && null === $choice->rule) {
            $words[] = 'No rule holds.';
        }

        return [] === $words ? '' : implode(' ', $words) . ' ';
    }

    private function owner(Rung $rung): string
    {
        return $this->names->of($rung->phone->owner->person ?? $rung->phone->id);
    }

    /** @param list<string> $names one per phone */
    private static function group(string $outcome, array $names): string
    {
        $people = array_values(array_unique($names));
        $more = \count($people) - self::MOST_NAMES;

        return \sprintf(
            '%s: %s%s.',
            ucfirst($outcome),
            implode(', ', \array_slice($people, 0, self::MOST_NAMES)),
            $more > 0 ? \sprintf(' and %d more', $more) : '',
        );
    }

    private function sentOn(SentOn $sent): string
    {
        $number = $this->names->of($sent->number);

        return match (true) {
            null === $sent->number => 'Is sent nowhere',
            null === $sent->exit => \sprintf('Is sent on to %s', $number),
            default => \sprintf('Is not sent on to %s', $number),
        };
    }

    private function whySentOn(SentOn $sent): string
    {
        return match ($sent->exit) {
            ForwardStep::NOT_CARRIED => 'No outside line may carry the call, or all channels are taken.',
            ForwardStep::BUSY => 'It is busy.',
            ForwardStep::UNREACHABLE => 'It cannot be reached.',
            default => match (true) {
                null === $sent->number => 'No number is chosen.',
                default => \sprintf(
                    'For good%s%s%s.',
                    null === $sent->line ? '' : ', by ' . $this->names->of($sent->line),
                    null === $sent->shows ? '' : ', showing ' . $this->names->of($sent->shows),
                    '' === $sent->digits ? '' : \sprintf('; then sends %s', $sent->digits),
                ),
            },
        };
    }

    private function toldApart(CallerToldApart $told): string
    {
        $why =
            null === $told->entry
                ? []
                : [
                    \sprintf(
                        'By “%s”%s.',
                        $told->entry->match,
                        '' === $told->entry->label ? '' : \sprintf(', shown as “%s”', $told->entry->label),
                    ),
                ];
        if ([] !== $told->passed) {
            $why[] = \sprintf('Not in %s.', implode(', ', array_map($this->names->of(...), $told->passed)));
        }

        return implode(' ', $why);
    }

    /** @return list<string> */
    private static function tags(Tag $tag): array
    {
        return array_values(
            array_filter([
                null === $tag->label ? null : \sprintf('shown as “%s”', $tag->label),
                null === $tag->language ? null : \sprintf('in %s', LanguageName::of($tag->language)),
                null === $tag->urgency ? null : \sprintf('urgency: %s', $tag->urgency->value),
                null === $tag->tone ? null : \sprintf('ring tone “%s”', $tag->tone),
                null === $tag->note ? null : \sprintf('with the note “%s”', $tag->note),
            ]),
        );
    }

    private function over(Over $over): string
    {
        $ending = $over->ending;

        return match ($ending->kind) {
            EndingKind::Answered => 'Talks to ' . $this->names->of($ending->whom()),
            EndingKind::Message => 'The message is left',
            EndingKind::Announcement => 'The announcement is over, and so is the call',
            EndingKind::Listens => \sprintf(
                'Listens to the messages of %s, once the PIN is given',
                $this->names->of($ending->who),
            ),
            EndingKind::Announced => \sprintf('Speaks to %s', $this->names->of($ending->who)),
            EndingKind::OwnMailbox => \sprintf('Lost to the own mailbox of %s', $this->names->of($ending->whom())),
            EndingKind::Forwarded => 'The call is elsewhere from here on',
            EndingKind::CallbackKept => 'Keeps a place, to be called back',
            EndingKind::CallbackInVain => 'Kept a place and is not reached',
            EndingKind::Fax => 'The document is there',
            EndingKind::EndedByPlan => 'The plan ends the call',
            EndingKind::RanOut => 'The call ends: no step is left',
            EndingKind::CallerGaveUp => 'The caller gives up',
            EndingKind::LoopStopped => Stop::Seconds === $over->stop
                ? 'Stopped: the call goes on for too long'
                : 'Stopped: the call goes round in a loop',
        };
    }

    private function whyOver(Over $over): string
    {
        return match ($over->ending->kind) {
            EndingKind::RanOut => null === $over->lastStep
                ? 'The number leads to no step at all.'
                : 'The list ran out and nothing follows it.',
            EndingKind::CallerGaveUp => \sprintf(
                'They were assumed to wait for %s.',
                Duration::words((int) $over->limit),
            ),
            EndingKind::LoopStopped => match ($over->stop) {
                Stop::People => 'People pass it on to one another in a ring.',
                Stop::Number => 'It comes back to a number that it came in by.',
                Stop::Seconds => \sprintf(
                    'It lasted for %s, which is the longest that a trial call is followed.',
                    Duration::words((int) $over->limit),
                ),
                default => \sprintf('It came to steps that it had been through %d times.', (int) $over->limit),
            },
            EndingKind::CallbackInVain => 'No agent could call them back in time, or they did not take the call.',
            EndingKind::OwnMailbox => 'Nobody picked up before it did, and it was not asked first.',
            EndingKind::EndedByPlan => null === $over->lastStep
                ? 'A code does nothing else.'
                : 'An end step, or an answering rule, says so.',
            default => '',
        };
    }
}
