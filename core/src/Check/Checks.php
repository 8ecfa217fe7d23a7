<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Plan;

/** Everything that is looked for in plans. */
final class Checks
{
    /** @var non-empty-list<class-string<Check<never>>> */
    public const ALL = [
        ZoneOfAnotherCountry::class,
        NumberWithoutTarget::class,
        FreeNumbersLeadNowhere::class,
        GivenUpNumberRings::class,
        OwnNumberMissing::class,
        BeginningShown::class,
        UnfinishedStep::class,
        UnreachableStep::class,
        MenuWithoutKeys::class,
        MenuNeverLeft::class,
        AgainWithoutMenu::class,
        DialsNobody::class,
        WordPromisedMissing::class,
        WordOfTwoKeys::class,
        WordWithoutKey::class,
        ParkPlaceMissing::class,
        ParkPlaceTwice::class,
        ParkedForEver::class,
        FaxMissed::class,
        CallersNotTold::class,
        KeysWaitForDigits::class,
        KeyPromisedMissing::class,
        KeyNeverMentioned::class,
        KeysInAnotherOrder::class,
        KeyLeadsElsewhere::class,
        ExitWithoutState::class,
        GreetingTooLate::class,
        StageCut::class,
        EmptyCallerList::class,
        CallerInEarlierList::class,
        EmptyCalendar::class,
        CalendarRunsOut::class,
        CalendarGap::class,
        PromptWithoutWords::class,
        BlankNeverFilled::class,
        TimesOtherThanHours::class,
        TakeFromOtherWords::class,
        TakeOfAnotherLength::class,
        TakeClipped::class,
        TakeTooQuiet::class,
        TakeMostlySilence::class,
        PersonWithoutPhone::class,
        MailboxForNobody::class,
        MailboxSaysNothing::class,
        AwayGreetingOver::class,
        GreetingNamesPastDate::class,
        KeyLeavesNowhere::class,
        RuleNeverHolds::class,
        RuleStateMissing::class,
        CallsComeBack::class,
        SharedPhone::class,
        MailboxRace::class,
        EmptyTeam::class,
        TeamOff::class,
        TierNeverRings::class,
        MemberRingsTooLong::class,
        OnlyFirstRings::class,
        QueueWithoutAgents::class,
        AlertLongerThanWait::class,
        IntroductionLongerThanWait::class,
        LongWaitUntold::class,
        TierNeverAsked::class,
        QueueNobodyReaches::class,
        EqualRanks::class,
        CallbackNeverTaken::class,
        CallbackNotCarried::class,
        RecordedUntold::class,
        NoticeToNobody::class,
        OverflowComesBack::class,
        OverflowIntoClosed::class,
        CallNotCarried::class,
        LineFilledByTheCall::class,
        NoEmergencyCalls::class,
        OwnNumberCalled::class,
        GivenUpUnrung::class,
    ];

    /**
     * @param int|null $now Unix seconds; null where nothing is to be said of what is over
     *
     * @return list<Finding> what callers would not want, element by element
     */
    public static function in(Plan $plan, ?int $now = null): array
    {
        $survey = new Survey($plan, $now);
        $findings = [];
        foreach ($plan->elements() as $element) {
            array_push($findings, ...self::look($element, $survey));
        }

        return $findings;
    }

    /** @return list<Finding> those of one element, as it is in the plan */
    public static function of(Element $element, Plan $plan, ?int $now = null): array
    {
        return self::look($element, new Survey($plan, $now));
    }

    /** @return list<Finding> */
    private static function look(Element $element, Survey $survey): array
    {
        $findings = [];
        foreach (self::forElementsOf($element::class) as $check) {
            foreach ($check->of($element, $survey) as $finding) {
                $findings[] = $finding;
            }
        }

        return $findings;
    }

    /**
     * @template E of Element
     *
     * @param class-string<E> $class
     *
     * @return list<Check<E>>
     */
    private static function forElementsOf(string $class): array
    {
        /** @var array<class-string<Element>, list<Check<never>>> $byClass */
        static $byClass = [];
        if ([] === $byClass) {
            foreach (self::ALL as $name) {
                $check = new $name();
                foreach ($check->looksAt() as $looksAt) {
                    $byClass[$looksAt][] = $check;
                }
            }
        }
        /** @var list<Check<E>> $checks */
        $checks = $byClass[$class] ?? [];

        return $checks;
    }
}
