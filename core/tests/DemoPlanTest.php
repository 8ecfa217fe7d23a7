<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Routing\Router;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\StateReason;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Ternwick Ferries, call by call: the answers were worked out by hand from the plan. */
final class DemoPlanTest extends TestCase
{
    private static Plan $plan;

    public static function setUpBeforeClass(): void
    {
        self::$plan = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../demo/ternwick-ferries.json'));
    }

    public function testItIsRichEnoughToBeBelieved(): void
    {
        foreach (
            [
                [Site::class, 2],
                [Number::class, 8],
                [Person::class, 14],
                [Team::class, 5],
                [Hours::class, 5],
                [Journey::class, 6],
                [Prompt::class, 20],
                [Mailbox::class, 5],
            ]
            as [$class, $least]
        ) {
            self::assertGreaterThanOrEqual($least, \count(self::$plan->all($class)), $class);
        }
        foreach (self::$plan->all(Prompt::class) as $prompt) {
            self::assertSame(['en', 'fr'], array_keys($prompt->scripts), $prompt->name());
        }
        self::assertCount(
            2,
            array_unique(array_map(static fn(Site $site): string => $site->place->zone, self::$plan->all(Site::class))),
        );
        self::assertSame(
            ['key-promised-missing at jrn_port'],
            array_map(
                static fn(Finding $finding): string => $finding->code . ' at ' . $finding->element->id(),
                Checks::in(self::$plan),
            ),
            'Nothing in it is unfinished; one menu is wrong on purpose.',
        );
    }

    #[DataProvider('states')]
    public function testItsHoursThroughTheYear(string $id, string $at, string $state, string $reason): void
    {
        $hours = self::$plan->get(Hours::class, $id);
        self::assertNotNull($hours);
        $running = new PlanHours(self::$plan);
        $reading = $running->read($hours, Moment::parse($at, $running->zone($hours)));
        self::assertSame($state, $reading->state);
        self::assertStringContainsString($reason, StateReason::words($reading, $running->zone($hours)));
    }

    /** @return iterable<array{string, string, string, string}> */
    public static function states(): iterable
    {
        yield 'summer mornings begin at seven' => [
            'hrs_bookings',
            '2026-07-01T07:00',
            'open',
            'the week has it on Wednesday 07:00–12:00',
        ];
        yield 'winter mornings do not' => ['hrs_bookings', '2026-12-01T07:59:59', 'closed', 'Winter timetable'];
        yield 'the last winter day' => ['hrs_bookings', '2027-03-31T07:30', 'closed', 'Winter timetable'];
        yield 'the first summer day' => ['hrs_bookings', '2027-04-01T07:30', 'open', 'the week'];
        yield 'Christmas Eve until one' => ['hrs_bookings', '2026-12-24T12:59:59', 'lunch', 'Winter timetable'];
        yield 'and not after' => ['hrs_bookings', '2026-12-24T13:00', 'closed', 'Christmas Eve afternoon'];
        yield 'Easter moves' => [
            'hrs_bookings',
            '2028-04-17T10:00',
            'holiday',
            'Easter Monday (Mon 17 Apr 2028) is a holiday of Bank holidays, England',
        ];
        yield 'freight keeps Christmas only' => ['hrs_freight', '2028-04-17T10:00', 'open', 'the week'];
        yield 'France has no Easter Friday' => ['hrs_port', '2027-03-26T10:00', 'open', 'Horaire d’hiver'];
        yield 'but Ascension' => [
            'hrs_port',
            '2027-05-06T10:00',
            'holiday',
            'Ascension (Thu 6 May 2027) is a holiday of Jours fériés',
        ];
        yield 'half Saturdays' => ['hrs_reception', '2026-11-28T12:00', 'closed', 'no band covers this time'];
        yield 'the refit does not close bookings' => ['hrs_bookings', '2027-01-12T10:00', 'open', 'Winter timetable'];
    }

    public function testItsNumbersAreFromRangesForFiction(): void
    {
        foreach (self::$plan->all(Number::class) as $number) {
            self::assertMatchesRegularExpression(
                '/^\+44(1632960\d{3}|2079460\d{3}|8081570\d{3})$|^\+33(19900|26191)\d{4}$/',
                $number->range->number,
            );
        }
        foreach (self::$plan->all(Person::class) as $person) {
            foreach ($person->reach->phones as $phone) {
                self::assertMatchesRegularExpression(
                    '/^(\+447700900\d{3}|\+3363998\d{4})?$/',
                    (string) $phone->number(),
                );
            }
        }
    }

    /** @param array<string, mixed> $assume */
    #[DataProvider('calls')]
    public function testACall(string $to, string $at, array $assume, string $answer): void
    {
        $call = new TrialCall($to, Caller::parse('withheld', 'GB'), Moment::parse($at, 'Europe/London'));
        self::assertSame(
            $answer,
            AnswerSentence::of((new Router())->trace(self::$plan, $call, Assumptions::fromData($assume)), self::$plan),
        );
    }

    /** @return iterable<string, array{string, string, array<string, mixed>, string}> */
    public static function calls(): iterable
    {
        [$main, $bookings, $freight, $lost, $harbour, $gare, $paris] = [
            '+441632960100',
            '+441632960110',
            '+441632960150',
            '+441632960140',
            '+441632960101',
            '+33261910100',
            '+33199000120',
        ];
        $answers = static fn(string $who, int $after): array => [
            ['who' => $who, 'does' => 'answers', 'after' => $after],
        ];
        yield 'bookings, Saturday morning, key 1, Priya is quickest' => [
            $bookings,
            '2026-11-28T09:00',
            ['keys' => ['1'], 'phones' => [...$answers('per_priya', 4), ...$answers('*', 9)]],
            'Presses 1, waits in Bookings queue, rings Priya Raman and is answered after 4 s, then talks to Priya Raman.',
        ];
        yield 'bookings, the second before Saturday opens' => [
            $bookings,
            '2026-11-28T08:59:59',
            [],
            'Hears “Bookings closed”, then leaves a message with Bookings mailbox.',
        ];
        yield 'bookings, Christmas Eve after one' => [
            $bookings,
            '2026-12-24T13:00',
            [],
            'Hears “Bookings closed”, then leaves a message with Bookings mailbox.',
        ];
        yield 'bookings, the desk is all on the phone' => [
            $bookings,
            '2026-11-23T15:00',
            ['keys' => ['2'], 'phones' => [['who' => '*', 'does' => 'busy', 'after' => 0]]],
            'Presses 2, waits in Bookings queue for 4 min, rings Port office for 13 s, finds Bea Longstaff busy, then leaves a message with Bookings mailbox.',
        ];
        yield 'the main line, today\'s sailings' => [
            $main,
            '2026-11-23T15:00',
            ['keys' => ['2']],
            'Hears “Welcome”, presses 2, hears “Today\'s sailings”, then the plan ends the call.',
        ];
        yield 'the main line, silence leads to reception' => [
            $main,
            '2026-11-23T15:00',
            ['phones' => $answers('per_reception', 3)],
            'Hears “Welcome”, presses nothing at “Main menu”, rings Bea Longstaff and is answered after 3 s, then talks to Bea Longstaff.',
        ];
        yield 'freight on Sunday night, after midnight, still open' => [
            $freight,
            '2026-11-30T01:30',
            ['phones' => $answers('per_kasia', 5)],
            'Hears “Freight welcome”, rings Freight office and is answered after 20 s, then talks to Kasia Wrona.',
        ];
        yield 'freight at night, the duty person does not answer' => [
            $freight,
            '2026-11-30T02:00',
            [],
            'Hears “Freight at night”, rings Rowan Tresco for 38 s, rings Hugh Pellow for 20 s, then leaves a message with Freight mailbox.',
        ];
        // The mobile's own mailbox picks up after 20 s, is asked, and presses nothing for 4 s.
        yield 'freight at the weekend: the duty mobile only' => [
            $freight,
            '2026-11-28T02:00',
            [],
            'Hears “Freight at night”, rings Rowan Tresco for 33 s, rings Hugh Pellow for 20 s, then leaves a message with Freight mailbox.',
        ];
        yield 'lost property on a Wednesday morning' => [
            $lost,
            '2026-11-25T11:59:59',
            ['phones' => $answers('per_olive', 2)],
            'Rings Lost property counter and is answered after 2 s, then talks to Olive Marsh.',
        ];
        yield 'lost property, nobody is quick: the phones ring first, then callers are greeted' => [
            $lost,
            '2026-11-25T11:00:00',
            [],
            'Rings Lost property counter for 25 s, hears “Lost property”, then leaves a message with Lost property mailbox.',
        ];
        // Rounds of 36 s, 5 s apart: the third begins at 82 s, and Yann, who has rung for 24 s by then, is second in it, at 94 s.
        yield 'foot passengers are kept, and the list is tried again' => [
            $gare,
            '2026-11-23T09:00',
            ['keys' => ['1'], 'phones' => $answers('per_yann', 27)],
            'Hears “Welcome”, presses 1, rings Réservations for 36 s, tries again for up to 10 min, rings Réservations and is answered after 15 s, then talks to Yann Kerdoncuff.',
        ];
        yield 'for ten minutes at the most' => [
            $gare,
            '2026-11-23T09:00',
            ['keys' => ['1']],
            'Hears “Welcome”, presses 1, rings Réservations for 36 s, tries again for up to 10 min, rings Port office for 20 s, then leaves a message with Port office mailbox.',
        ];
        yield 'lost property at noon to the second' => [
            $lost,
            '2026-11-25T12:00:00',
            [],
            'Hears “Lost property closed”, then leaves a message with Lost property mailbox.',
        ];
        yield 'straight to a person, at night: no phone rings in an empty office' => [
            $harbour,
            '2026-11-25T03:00',
            [],
            'Leaves a message with Reception mailbox.',
        ];
        yield 'straight to a person, by day' => [
            $harbour,
            '2026-11-25T10:00',
            [],
            'Rings Bea Longstaff for 25 s, then leaves a message with Reception mailbox.',
        ];
        yield 'an extension, out on the quay' => [
            '205',
            '2026-11-25T10:00',
            ['statuses' => [['who' => 'per_ines', 'status' => 'away']]],
            'Rings Ines Carreira for 20 s, then leaves a message with Bookings mailbox.',
        ];
        yield 'an extension, desk then mobile' => [
            '205',
            '2026-11-25T10:00',
            [],
            'Rings Ines Carreira for 30 s, then leaves a message with Bookings mailbox.',
        ];
        yield 'straight to a team, which has no mailbox' => [
            $paris,
            '2026-11-25T10:00',
            [],
            'Rings Réservations for 25 s, then the call ends because no step is left.',
        ];
        yield 'the terminal at 11:30 in England is 12:30 in France: lunch' => [
            $gare,
            '2026-11-23T11:30',
            [],
            'Leaves a message with Port office mailbox.',
        ];
        yield 'the terminal on the day of the storm' => [
            $gare,
            '2026-11-26T09:00',
            [],
            'Hears “Port closed by storm”, then the plan ends the call.',
        ];
        yield 'the storm day ends at midnight in France, at 23:00 in England' => [
            $gare,
            '2026-11-26T23:00',
            [],
            'Hears “Reception closed”, then leaves a message with Port office mailbox.',
        ];
        yield 'a French holiday is a working day in England' => [
            $gare,
            '2027-05-01T10:00',
            [],
            'Hears “Public holiday”, then leaves a message with Port office mailbox.',
        ];
        yield 'a caller who gives up' => [
            $bookings,
            '2026-11-23T15:00',
            ['patience' => 20],
            'Presses nothing at “Bookings menu”, hears “Bookings menu”, then the caller gives up.',
        ];
    }

    /** A call with three ahead, as it can be read aloud. */
    public function testACallInTheBookingsQueueReadsWell(): void
    {
        $call = new TrialCall(
            '+441632960110',
            Caller::parse('07700 900123', 'GB'),
            Moment::parse('2026-11-23T10:30', 'Europe/London'),
        );
        $assume = [
            'keys' => ['1'],
            'queues' => [['queue' => 'que_bookings', 'ahead' => 3, 'free' => 90, 'keeps' => 70, 'picksUp' => 8]],
            'phones' => [['who' => 'per_priya', 'does' => 'answers', 'after' => 6]],
        ];
        $report = TraceReport::of(
            (new Router())->trace(self::$plan, $call, Assumptions::fromData($assume)),
            self::$plan,
            'Europe/London',
        );
        self::assertSame(
            'Presses 1, waits in Bookings queue, keeps the place after 1 min 10 s, rings Priya Raman and is answered after 6 s, is called back and answers after 8 s, then talks to Priya Raman.',
            $report['sentence'],
        );
        self::assertSame(
            [
                '9 Is let into Bookings queue, 3 ahead. About 2 min to wait: (3 ahead + 1) × 2 min a call ÷ 4 signed in.',
                '9 Hears “Calls are recorded”. Heard for 6 s in English, the number’s language, counted from its words.',
                '15 Hears “Connecting you to bookings”. Heard for 4 s in English, the number’s language, counted from its words.',
                '19 Hears music: “Music: harbour”, “Music: crossing”. In order, then again from the first; what is announced is heard over it.',
                '69 Hears that 5 keeps the place: “We can call you back”. Their number is known, and a line may carry the call.',
                '79 Hears: number 4, about 2 min to go. The queue announces it every so often; it is counted at this second.',
                '79 Presses 5, keeps the place and is to be called back on +44 7700 900123. After 1 min 10 s of waiting. The place is kept: 3 ahead.',
                '79 Hears “We will call you back”. Heard for 6 s in English, the number’s language, counted from its words.',
                '510 Rings Priya Raman, answered after 6 s. The only one who is free, of tier 2. Answered: Priya Raman (Desk phone). Taken elsewhere: Priya Raman (Laptop).',
                '516 The agent hears “Word for agents: bookings”. For 2 s, before the caller is through.',
                '518 Is called back on +44 7700 900123, and answers after 8 s. Try 1 of 2, by Ternwick trunk, showing +44 1632 960110.',
                '526 Talks to Priya Raman. ',
            ],
            array_map(
                static fn(array $event): string => \sprintf(
                    '%d %s. %s',
                    $event['second'],
                    $event['text'],
                    $event['reason'],
                ),
                \array_slice($report['events'], 3),
            ),
        );
    }
}
