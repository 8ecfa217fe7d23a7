<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Callers;

use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;
use Meandros\Core\Call\Caller;
use Meandros\Core\Callers\CallerFile;
use Meandros\Core\Callers\CallerLookup;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\CallerEntries;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Callers in lists; what they are found by, worked out by hand. */
final class CallerLookupTest extends TestCase
{
    #[DataProvider('callers')]
    public function testWhatACallerIsFoundBy(string $from, ?string $match): void
    {
        $list = self::list(
            '+441632960150',
            '+44163296*',
            '+44*',
            '+4477*',
            'FR',
            'withheld',
            'internal',
            'mobile',
            'fixed',
        );
        self::assertSame($match, (new CallerLookup())->find($list, Caller::parse($from, 'GB'))?->match);
    }

    /** @return iterable<array{string, string|null}> */
    public static function callers(): iterable
    {
        yield ['01632 960150', '+441632960150'];
        yield ['01632 960151', '+44163296*'];
        yield ['020 7946 0000', '+44*'];
        yield ['07700 900123', '+4477*'];
        yield ['+33 1 99 00 12 34', 'FR'];
        yield ['+33 6 39 98 12 34', 'FR'];
        yield ['+1 202 555 0123', 'fixed'];
        yield ['', 'withheld'];
        yield ['201', 'internal'];
    }

    public function testNobodyIsInAnEmptyList(): void
    {
        foreach (['01632 960150', '', '201'] as $from) {
            self::assertNull((new CallerLookup())->find(self::list(), Caller::parse($from, 'GB')));
        }
    }

    /** Countries and mobiles as libphonenumber has them: its own example numbers. */
    public function testCountriesAndMobilesOfAllExampleNumbers(): void
    {
        $util = PhoneNumberUtil::getInstance();
        foreach (['DE', 'ES', 'NL', 'BE', 'IT', 'PL', 'SE', 'NO', 'IE', 'CH'] as $country) {
            $mobile = $util->getExampleNumberForType($country, \libphonenumber\PhoneNumberType::MOBILE);
            self::assertNotNull($mobile);
            $caller = Caller::parse($util->format($mobile, PhoneNumberFormat::E164), 'GB');
            self::assertSame($country, (new CallerLookup())->find(self::list($country, 'GB'), $caller)?->match);
            self::assertSame('mobile', (new CallerLookup())->find(self::list('mobile', 'fixed'), $caller)?->match);
        }
    }

    /** A linear scan, in the words of docs/concepts.md: the most particular entry, the longest beginning first. */
    public function testAScanFindsTheSame(): void
    {
        mt_srand(13);
        $matches = [];
        while (\count($matches) < 400) {
            $number = '+44' . mt_rand(1000000000, 1999999999);
            $matches[0 === mt_rand(0, 1) ? $number : substr($number, 0, mt_rand(3, 9)) . '*'] = true;
        }
        $list = self::list(...array_keys($matches));
        $lookup = new CallerLookup();
        $found = 0;
        for ($i = 0; $i < 500; ++$i) {
            $from = '+44' . mt_rand(1000000000, 1999999999);
            $best = null;
            foreach (array_keys($matches) as $match) {
                $holds = str_ends_with($match, '*') ? str_starts_with($from, rtrim($match, '*')) : $match === $from;
                $best = $holds && \strlen($match) > \strlen((string) $best) ? $match : $best;
            }
            self::assertSame($best, $lookup->find($list, Caller::parse($from, 'GB'))?->match, $from);
            $found += null === $best ? 0 : 1;
        }
        self::assertGreaterThan(100, $found);
    }

    public function testTheFirstListThatACallerIsInIsTheWayOut(): void
    {
        $plan = (new PlanBuilder())
            ->mailbox('mbx')
            ->person('ann')
            ->with([
                'id' => 'clr_late',
                'kind' => 'callers',
                'name' => 'Who owe us',
                'entries' => [['match' => '+441632960777']],
            ])
            ->with([
                'id' => 'clr_good',
                'kind' => 'callers',
                'name' => 'Account customers',
                'entries' => [
                    ['match' => '+441632960999', 'name' => 'Marlow Haulage', 'label' => 'Account'],
                    ['match' => '+4416329607*'],
                ],
            ])
            ->journey('jrn_main', [
                [
                    'id' => 'who',
                    'do' => 'caller',
                    'exits' => [
                        ['on' => 'clr_late', 'steps' => [['id' => 'end', 'do' => 'end']]],
                        [
                            'on' => 'clr_good',
                            'steps' => [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]],
                        ],
                    ],
                ],
                ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
        $said = static function (string $from) use ($plan): array {
            $trace = $plan->call(from: $from);
            $words = new EventWords($plan->plan());

            return [
                AnswerSentence::of($trace, $plan->plan()),
                $words->what($trace->passage->events[1]->happening) .
                ' ' .
                $words->because($trace->passage->events[1]->happening),
                $trace->shown->label,
            ];
        };
        self::assertSame(
            [
                'Is one of Account customers, rings Ann for 20 s, then leaves a message with mbx.',
                'The caller is Marlow Haulage of Account customers By “+441632960999”, shown as “Account”. Not in Who owe us.',
                'Account',
            ],
            $said('+441632960999'),
        );
        self::assertSame(
            [
                'Is one of Who owe us, then the plan ends the call.',
                'The caller is one of Who owe us By “+441632960777”.',
                'Main line',
            ],
            $said('+441632960777'),
        );
        self::assertSame(
            'The caller is one of Account customers By “+4416329607*”. Not in Who owe us.',
            $said('+441632960778')[1],
        );
        self::assertSame(
            [
                'Leaves a message with mbx.',
                'The caller is in none of the lists Not in Who owe us, Account customers.',
                'Main line',
            ],
            $said(''),
        );
    }

    public function testPastedLines(): void
    {
        [$entries, $problems] = CallerFile::read(
            "01632 960150, Marlow Haulage, Account\n\n+33 6*;Mobiles in France\ntel:+44-1632-960151\t\"Quay, the\"\ngb\nWithheld\nnobody\n01632 960150\n12345678901234567890\n",
            'GB',
        );
        self::assertSame(
            [
                ['+441632960150', 'Marlow Haulage', 'Account'],
                ['+336*', 'Mobiles in France', ''],
                ['+441632960151', 'Quay, the', ''],
                ['GB', '', ''],
                ['withheld', '', ''],
            ],
            array_map(static fn(CallerEntry $entry): array => array_values($entry->toJson()), $entries),
        );
        self::assertSame(
            ['/7', '/8', '/9'],
            array_map(static fn(Problem $problem): string => $problem->pointer, $problems),
        );
    }

    private static function list(string ...$matches): CallerList
    {
        return new CallerList(
            new About('clr', 'List'),
            CallerEntries::of(
                array_map(static fn(string $match): CallerEntry => new CallerEntry($match), array_values($matches)),
            ),
        );
    }
}
