<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Callers\CallerFile;
use Meandros\Core\ICalendar\Exporter;
use Meandros\Core\Map\JourneyMap;
use Meandros\Core\Map\MapSvg;
use Meandros\Core\Numbers\NumberTable;
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
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Recording\RecordingSheet;
use Meandros\Core\Recording\SheetWish;
use Meandros\Core\Recording\Wanted;
use Meandros\Core\Script\MenuKeys;
use Meandros\Core\Script\MenuScript;
use Meandros\Core\Time\Moment;
use Meandros\Core\Typing\StepLines;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\TestCase;

/** What is made of the demo plan, all of it: files, papers, maps, lines to type, and what is said where something of it is gone. */
final class DemoToldTest extends TestCase
{
    private const DEMO = __DIR__ . '/../../demo/ternwick-ferries.json';
    private const NOW = '2026-11-23T10:30';

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
        self::same('calendars', $told);
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
        foreach ($this->plan->all(Journey::class) as $journey) {
            $map = JourneyMap::of($journey, $this->plan);
            $told .= "# {$journey->id()}\n" . MapSvg::draw($map, $map->course([]), $journey->name()) . "\n";
            foreach ($journey->steps->everyStep('/steps') as $step) {
                $line = StepLines::write($step, $this->plan);
                $told .= null === $line ? '' : $this->typed($line);
            }
        }
        self::same('journeys', $told);
    }

    private function typed(string $line): string
    {
        $told = $line . "\n    " . Told::json(StepLines::read($line, $this->plan, 'GB')->step) . "\n";
        // As far as the second word, and with something after it.
        foreach ([(string) preg_replace('/^(\S+ \S+).*/s', '$1', $line), $line . ' and a half'] as $other) {
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
