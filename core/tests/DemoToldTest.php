<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\Pin;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Callers\CallerFile;
use Meandros\Core\Directory\DirectoryView;
use Meandros\Core\ICalendar\Exporter;
use Meandros\Core\ICalendar\FileReader;
use Meandros\Core\ICalendar\HolidayImport;
use Meandros\Core\ICalendar\Preview;
use Meandros\Core\ICalendar\SpecialDayImport;
use Meandros\Core\Map\JourneyMap;
use Meandros\Core\Map\MapSvg;
use Meandros\Core\Numbers\BlockView;
use Meandros\Core\Numbers\NumberTable;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Overflow\Overflow;
use Meandros\Core\Paper\Markdown;
use Meandros\Core\Paper\PaperOfPlan;
use Meandros\Core\People\PeopleCards;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Proof\Promised\Suggestion;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Recording\RecordingSheet;
use Meandros\Core\Recording\SheetWish;
use Meandros\Core\Recording\Wanted;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Visit;
use Meandros\Core\Script\MenuKeys;
use Meandros\Core\Script\MenuScript;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\WeekText;
use Meandros\Core\Typing\StepLines;
use Meandros\Core\Wording\Letters;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\TestCase;

/** What is made of the demo plan, all of it: files, papers, maps, lines to type, and what is said where something of it is gone. */
final class DemoToldTest extends TestCase
{
    private const DEMO = __DIR__ . '/../../demo/ternwick-ferries.json';
    private const NOW = '2026-11-23T10:30';

    /** What callers, phones and queues do. */
    private const CALLS = [
        [],
        ['keys' => ['1'], 'phones' => [['who' => '*', 'does' => 'answers', 'after' => 9]]],
        ['keys' => ['2', '2'], 'phones' => [['who' => '*', 'does' => 'busy']]],
        ['keys' => ['3', '0'], 'phones' => [['who' => '*', 'does' => 'unreachable']]],
        ['keys' => ['201#', '1'], 'phones' => [['who' => '*', 'does' => 'refuses', 'after' => 3]]],
        ['patience' => 20, 'fax' => true],
        [
            'keys' => [['says' => 'bookings']],
            'meanwhile' => ['9', '*'],
            'lines' => [['line' => 'line_ternwick', 'taken' => 99]],
        ],
        [
            'queues' => [
                ['queue' => 'que_bookings', 'ahead' => 3, 'free' => 90, 'keeps' => 70, 'picksUp' => 8],
                ['queue' => 'que_groups', 'ahead' => 1, 'agents' => []],
            ],
            'phones' => [['who' => '*', 'does' => 'answers', 'after' => 6]],
        ],
    ];

    private const WEEKS = [
        '',
        'mo-fr 9-12, 13-17:30 open; sa 9-12:30',
        'Monday 930-5:30pm lunch',
        'weekdays 9h30–17h, sa 10',
        'sa-mo 22-6 closed',
        'daily 0-24',
        'weekend 9am-12pm; weekdays 12am-9am',
        'mo 9-9',
        'mo, we fr 8.15-12.45 Lunch break',
        'mo 25-26',
        'mo 9:61-10',
        'mo 9-24:01',
        'mo 13pm-2pm',
        'mo 0am-2pm',
        'xy 9-10',
        'm 9-10',
        'mon-xyz 9-10',
        '9-10',
        'mo open',
        'mo 9-10 shut',
        'mo 9-10, 9:30-11',
        'mo 9-10 12-13',
        'fr-th 9-10',
        'weekdays-su 9-10',
        'mo 9-12 and 1-2',
        'mo 9-12 and 13-14',
        'mo 9-12, 01-02',
        'mo-fr 9-5',
        'mo 9-05',
        'mo 9am-5',
        'mo 9-5am',
        'mo 12-1',
        'mo 22-6',
        'mo 13-1',
        'mo 10pm-2',
        'mo 9:30-12, 1:30-5:30',
        'mo 2pm-5pm, 9-12',
        'we 6pm-2am open; th 2-3',
    ];

    private Plan $plan;

    protected function setUp(): void
    {
        $this->plan = PlanCodec::decode((string) file_get_contents(self::DEMO));
    }

    public function testFiles(): void
    {
        $told = PeopleTable::write($this->plan) . NumberTable::write($this->plan) . PeopleCards::write($this->plan);
        foreach ($this->plan->all(CallerList::class) as $list) {
            $told .= "# {$list->id()}\n" . CallerFile::table($list) . CallerFile::writeCards($list);
        }
        self::same('files', $told);
    }

    public function testCalendars(): void
    {
        $now = Moment::parse(self::NOW, 'UTC');
        $exporter = new Exporter($now);
        $told = '';
        foreach ($this->plan->all(HolidayCalendar::class) as $calendar) {
            $told .= $exporter->holidays($calendar, intdiv($now, 86400), intdiv($now, 86400) + 400);
        }
        $hours = new PlanHours($this->plan);
        foreach ($this->plan->all(Hours::class) as $one) {
            foreach ($hours->changes($one, $now, 12) as $change) {
                $told .= $one->id() . ' ' . Told::json($change) . "\n";
            }
        }
        $told .= $exporter->intervals('Who is on', 'num_main', [
            [$now, $now + 3600, 'Ann'],
            [$now + 3600, $now + 7200, 'Bea'],
        ]);
        self::same('calendars', $told);
    }

    /** What is taken over of a calendar file, and what is left out. */
    public function testACalendarFile(): void
    {
        $text = str_replace("\n", "\r\n", (string) file_get_contents(__DIR__ . '/ICalendar/harbour.ics'));
        preg_match_all('/BEGIN:VEVENT.*?UID:(\S+).*?END:VEVENT\r\n/s', $text, $found, \PREG_SET_ORDER);
        $byId = [];
        foreach ($found as [$event, $id]) {
            $byId[$id] = ($byId[$id] ?? '') . $event;
        }
        $calendar = $this->plan->get(HolidayCalendar::class, 'cal_england');
        $hours = $this->plan->get(Hours::class, 'hrs_reception');
        \assert(null !== $calendar && null !== $hours);
        $told = '';
        foreach (['Europe/London', 'America/New_York'] as $zone) {
            $reader = new FileReader($zone, intdiv(Moment::parse('2029-01-01T00:00', 'UTC'), 86400));
            foreach ($byId as $id => $event) {
                $told .= \sprintf("# %s in %s\n", $id, $zone);
                try {
                    $file = $reader->read("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n{$event}END:VCALENDAR\r\n");
                    $told .= self::preview(HolidayImport::preview($calendar, $file), $calendar);
                    $days = new SpecialDayImport(new PlanHours($this->plan));
                    $told .= self::preview($days->preview($hours, $file, 'closed'), $hours);
                } catch (InvalidData $invalid) {
                    $told .= '    ' . ProblemWords::all($invalid) . "\n";
                }
            }
        }
        self::same('calendar-file', $told);
    }

    private static function preview(Preview $preview, Element $before): string
    {
        $told =
            [
                'element' => array_diff_assoc(
                    array_map(Told::json(...), $preview->result->toJson()),
                    array_map(Told::json(...), $before->toJson()),
                ),
            ] + $preview->toJson();
        self::assertSame($preview->result->toJson(), $preview->toJson()['element']);
        $told['element'] = array_map(static fn(string $json): string => substr($json, -600), $told['element']);

        return implode(
            '',
            array_map(
                static fn(string $name): string => \sprintf("    %s: %s\n", $name, Told::json($told[$name])),
                array_keys($told),
            ),
        );
    }

    public function testWeeksThatAreTyped(): void
    {
        $week = new WeekText(['open' => 'Open', 'lunch' => 'Lunch break', 'closed' => 'Closed']);
        $told = '';
        foreach (self::WEEKS as $text) {
            try {
                $told .= $text . "\n";
                foreach ($week->parse($text) as ['days' => $days, 'bands' => $bands]) {
                    $told .= \sprintf("    %s %s\n", implode(' ', array_column($days, 'value')), Told::json($bands));
                }
            } catch (\InvalidArgumentException $refused) {
                $told .= '    ' . $refused->getMessage() . "\n";
            }
        }
        self::same('weeks', $told);
    }

    public function testPapers(): void
    {
        $day = intdiv(Moment::parse(self::NOW, 'UTC'), 86400);
        foreach (['en', 'fr'] as $language) {
            self::same('paper.' . $language, Markdown::of(PaperOfPlan::of($this->plan, $language, 'Edition 1', $day)));
        }
    }

    public function testMapsAndLinesToType(): void
    {
        $told = '';
        $visits = array_map(
            fn(array $assumed): array => (new Router())->trace(
                $this->plan,
                new TrialCall('+442079460130', Caller::parse('', 'GB'), Moment::parse(self::NOW, 'UTC')),
                Assumptions::fromData($assumed),
            )->passage->visits,
            self::CALLS,
        );
        foreach ($this->plan->all(Journey::class) as $journey) {
            $map = JourneyMap::of($journey, $this->plan);
            $told .= "# {$journey->id()}\n" . MapSvg::draw($map, $map->course([]), $journey->name()) . "\n";
            foreach ($visits as $passed) {
                $isHere = static fn(Visit $visit): bool => $visit->journey === $journey->id();
                $told .= Told::json($map->course(array_values(array_filter($passed, $isHere)))) . "\n";
            }
            foreach ($journey->steps->everyStep('/steps') as $step) {
                $line = StepLines::write($step, $this->plan);
                $told .= null === $line ? '' : $this->typed($line);
            }
        }
        self::same('journeys', $told);
    }

    /** @var array<string, true> beginnings of lines that were told */
    private array $typed = [];

    private function typed(string $line): string
    {
        $told = $line . "\n    " . Told::json(StepLines::read($line, $this->plan, 'GB')->step) . "\n";
        $others = [$line . ' and a half'];
        // As far as each word, unless another line begins so too.
        for ($words = explode(' ', $line); [] !== $words; array_pop($words)) {
            $others[] = implode(' ', \array_slice($words, 0, -1));
        }
        foreach ($others as $other) {
            if (isset($this->typed[$other])) {
                continue;
            }
            $this->typed[$other] = true;
            $typed = StepLines::read($other, $this->plan, 'GB');
            $told .= \sprintf(
                "    %s: %s %d %s\n",
                $other,
                $typed->problem,
                $typed->at,
                Told::json([$typed->made, $typed->offers]),
            );
        }

        return $told;
    }

    public function testMenusAndWhatIsToBeRecorded(): void
    {
        $told = '';
        foreach ($this->plan->all(Journey::class) as $journey) {
            foreach (MenuKeys::of($journey, $this->plan) as $menu) {
                $told .= \sprintf(
                    "%s%s %s\n",
                    $journey->id(),
                    $menu->place,
                    Told::json([$menu->promised, $menu->words()]),
                );
                foreach ($menu->prompt->languages() as $language) {
                    $told .= \sprintf("    %s: %s\n", $language, $menu->written($language) ?? 'nothing');
                }
            }
        }
        foreach ($this->plan->all(Prompt::class) as $prompt) {
            foreach ($prompt->scripts as $language => $script) {
                $told .= \sprintf(
                    "%s %s\n",
                    $prompt->id(),
                    Told::json([MenuScript::read($script, $language), MenuScript::words($script, $language)]),
                );
            }
        }
        $rows = RecordingSheet::of($this->plan, new SheetWish());
        self::same(
            'prompts',
            $told . implode('', array_map(static fn(Wanted $one): string => Told::json($one->toJson()) . "\n", $rows)),
        );
    }

    public function testWhereCallsFlowOver(): void
    {
        $overflow = new Overflow($this->plan);
        $told = '';
        foreach ($overflow->reachable($overflow->queues()) as $stay) {
            $told .= \sprintf(
                "%s %s %s\n",
                $stay->key(),
                $stay->by,
                Told::json([$overflow->longest($stay), $overflow->givenAt($stay), $overflow->wayBack($stay)]),
            );
            foreach ($overflow->from($stay) as $flow) {
                $told .= \sprintf(
                    "    %s\n",
                    Told::json([$flow->exits, $flow->seconds, $flow->to?->key(), $flow->hours]),
                );
            }
        }
        self::same('overflow', $told);
    }

    public function testCallsThatAreTold(): void
    {
        $told = '';
        foreach ($this->plan->all(Number::class) as $number) {
            foreach (BlockView::of($this->plan, $number) as $row) {
                $told .= BlockView::FREE === $row['how'] ? '' : \sprintf("%s %s\n", $number->id(), Told::json($row));
            }
            foreach ([self::NOW, '2026-12-25T20:00'] as $at) {
                $call = new TrialCall(
                    $number->range->example(),
                    Caller::parse('07700 900123', 'GB'),
                    Moment::parse($at, 'UTC'),
                );
                $trace = (new Router())->trace($this->plan, $call, new Assumptions());
                $told .= \sprintf(
                    "%s %s %s\n",
                    $call->dialled,
                    $at,
                    Told::json(Suggestion::of($trace, $this->plan)?->toJson()),
                );
                foreach (Letters::of($trace, $this->plan, 'Europe/London') as $letter) {
                    $told .= Told::json($letter) . "\n";
                }
            }
        }
        self::same('calls', $told);
    }

    public function testWhatHappensIsTold(): void
    {
        $told = [];
        $dialled = ['*71', '*70', '*31', '*32', '*33'];
        foreach ($this->plan->elements() as $id => $element) {
            $element instanceof Number && ($dialled[] = $element->range->example());
            $element instanceof TakesCalls && ($dialled[] = (string) $id);
        }
        foreach (self::CALLS as $assumed) {
            foreach ($dialled as $to) {
                $this->tell($told, $to, self::NOW, $assumed);
                $this->tell($told, $to, '2026-12-25T20:00', $assumed);
            }
        }
        ksort($told);
        self::same('events', implode("\n", $told) . "\n");
    }

    /**
     * @param array<string, string> $told    one of each kind of event that has the same fields
     * @param array<string, mixed>  $assumed
     */
    private function tell(array &$told, string $to, string $at, array $assumed): void
    {
        $caller = Caller::parse(str_starts_with($to, '*') ? '201' : '07700 900123', 'GB');
        $trace = (new Router())->trace(
            $this->plan,
            new TrialCall($to, $caller, Moment::parse($at, 'UTC')),
            Assumptions::fromData($assumed),
        );
        foreach (TraceReport::of($trace, $this->plan, 'Europe/London')['events'] as $event) {
            unset($event['journey'], $event['step'], $event['second']);
            $fields = static fn(array $data): array => array_map(
                static fn(mixed $value): bool => null === $value || [] === $value,
                $data,
            );
            $what = Told::json([
                $event['kind'],
                $fields($event['what']),
                $fields($event['because']),
                \is_string($event['what']['exit'] ?? null) ? $event['what']['exit'] : '',
            ]);
            $told[$what] ??= Told::json($event);
        }
    }

    public function testThePlanIsReadBackAsItWasWritten(): void
    {
        $written = PlanCodec::encode($this->plan);
        self::assertSame($written, PlanCodec::encode(PlanCodec::readBack($written)));
        self::assertSame($written, PlanCodec::encode(PlanCodec::storedPlan($written)));
    }

    public function testWhatGoesOutside(): void
    {
        $lines = new Lines($this->plan);
        $told = '';
        foreach ([null, ...$this->plan->all(Site::class)] as $site) {
            foreach (
                ['+447700900123', '+441632960999', '+441632960110', '+33639980103', '+33199000120', '+12025550123']
                as $number
            ) {
                $told .= \sprintf(
                    "%s from %s: %s\n",
                    $number,
                    $site?->name() ?? 'nowhere',
                    Told::json([
                        $lines->departure($number, $site?->id())?->toJson(),
                        $lines->isOwn($number),
                        $lines->isMobile($number),
                    ]),
                );
            }
        }
        foreach (
            ['', '123', '1234', '12a4', '4321', '0987', '2222', '1212', '7391', '0205', '205', '12345678901', '7391739']
            as $pin
        ) {
            $told .= \sprintf("PIN %s: %s\n", $pin, Pin::weakness($pin, ['', '205']) ?? 'will do');
            try {
                self::assertSame($pin, Input::read($pin, static fn(Input $in): string => Pin::read($in, ['', '205'])));
            } catch (InvalidData $invalid) {
                $told .= '    ' . ProblemWords::all($invalid) . "\n";
            }
        }
        foreach ($this->plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep('/steps') as $step) {
                foreach ($step instanceof DirectoryStep ? DirectoryView::of($this->plan, $step) : [] as $one) {
                    $told .= \sprintf("%s %s\n", $journey->id(), Told::json([$one->person->id()] + (array) $one));
                }
            }
        }
        self::same('outside', $told);
    }

    /** Each element gone, then of a kind that nobody asked for. */
    public function testWhatDoesNotFitAnyMore(): void
    {
        $told = '';
        $said = [];
        foreach ($this->plan->elements() as $id => $element) {
            foreach ([$this->plan->without($id), $this->plan->with(self::other($element))] as $plan) {
                foreach ((new Integrity($plan))->problems() as $of => $problems) {
                    foreach ($problems as $problem) {
                        $told .= \sprintf("%s gone: %s%s\n", $id, $of, $problem->summary());
                        $said[$problem->code] ??= ProblemWords::both($problem);
                    }
                }
            }
        }
        self::same('broken', $told . implode("\n", $said) . "\n");
    }

    private static function other(Element $element): Element
    {
        $site = ['kind' => 'site', 'zone' => 'Europe/London', 'country' => 'GB', 'language' => 'en'];
        $calendar = ['kind' => 'calendar', 'holidays' => []];

        return PlanCodec::element(
            ['id' => $element->id(), 'name' => 'Another'] + ($element instanceof Site ? $calendar : $site),
        );
    }

    private static function same(string $file, string $told): void
    {
        Told::same(\sprintf('%s/told/%s.txt', __DIR__, $file), $told);
    }
}
