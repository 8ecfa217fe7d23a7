<?php

declare(strict_types=1);

namespace Meandros\Core\Map;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\StepExit;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Routing\Visit;
use Meandros\Core\Typing\StepLines;

/**
 * A journey as a picture: a list of steps runs down, what its exits lead to stands to the right, each list in a column of
 * its own. Nothing overlaps, and the way of a call passes by every label.
 */
final class JourneyMap
{
    public const BOX_WIDTH = 190;
    public const BOX_HEIGHT = 40;
    /** Between two columns: an exit's line with its label. */
    public const GAP = 150;
    /** Between two rows: the way of a call. */
    public const ROW_GAP = 18;
    private const LABEL_HEIGHT = 14;
    /** From the left edge of a box to where the way of a call passes. */
    private const PORT = 16;
    /** From a box to the lines beside it. */
    private const BESIDE = 10;
    private const MARGIN = 16;

    /** @var array<string, Box> steps by id */
    private array $boxes = [];
    /** @var array<string, Box> labels by step and exit */
    private array $labels = [];
    /** @var list<list<array{int, int}>> */
    private array $lines = [];
    private int $rows = 0;
    private int $columns = 0;

    private function __construct(private readonly Plan $plan) {}

    public static function of(Journey $journey, Plan $plan): self
    {
        $map = new self($plan);
        $map->rows = $map->list($journey->steps, 0, 0);

        return $map;
    }

    public function width(): int
    {
        return 2 * self::MARGIN + ($this->columns + 1) * self::BOX_WIDTH + $this->columns * self::GAP;
    }

    public function height(): int
    {
        return 2 * self::MARGIN + max(1, $this->rows) * (self::BOX_HEIGHT + self::ROW_GAP);
    }

    /** @return array<string, Box> by step */
    public function boxes(): array
    {
        return $this->boxes;
    }

    /** @return array<string, Box> by step and exit */
    public function labels(): array
    {
        return $this->labels;
    }

    /** @return list<list<array{int, int}>> polylines that join the boxes */
    public function lines(): array
    {
        return $this->lines;
    }

    /**
     * The way of a call.
     *
     * @param list<Visit> $visits of this journey, in order
     *
     * @return list<array{int, int}> a polyline of level and upright pieces; empty where it does not come here
     */
    public function course(array $visits): array
    {
        $course = [];
        $before = null;
        foreach ($visits as $visit) {
            $box = $this->boxes[$visit->step] ?? null;
            if (null === $box) {
                continue;
            }
            array_push(
                $course,
                ...null === $before ? [[$box->x + self::PORT, $box->y - self::ROW_GAP]] : $this->between($before, $box),
            );
            $course[] = [$box->x + self::PORT, $box->middle()];
            $before = $box;
        }

        return $course;
    }

    /** @return list<array{int, int}> corners from the port of one box to that of the next */
    private function between(Box $from, Box $to): array
    {
        $above = $to->y - intdiv(self::ROW_GAP, 2);
        if ($to->x > $from->x) {
            // Out by an exit: along its line, under its label.
            $trunk = $from->right() + self::BESIDE;

            return $from->middle() === $to->middle() ? [] : [[$trunk, $from->middle()], [$trunk, $to->middle()]];
        }
        if ($to->x === $from->x && $to->y > $from->y && $this->isFree($from, $to)) {
            return [];
        }
        // Past what stands below, in the gap before its column, then in the gap above the next row.
        $beside = $from->x - self::BESIDE;
        $below = $from->bottom() + intdiv(self::ROW_GAP, 2);

        return [[$from->x + self::PORT, $below], [$beside, $below], [$beside, $above], [$to->x + self::PORT, $above]];
    }

    /** Whether nothing stands between two boxes of a column. */
    private function isFree(Box $from, Box $to): bool
    {
        foreach ($this->boxes as $box) {
            if ($box->x === $from->x && $box->y > $from->y && $box->y < $to->y) {
                return false;
            }
        }

        return true;
    }

    /** @return int the first row below the list */
    private function list(StepList $list, int $column, int $row): int
    {
        $before = null;
        foreach ($list->steps as $step) {
            $box = $this->box($step, $column, $row);
            if (null !== $before) {
                $this->lines[] = [[$before->x + self::PORT, $before->bottom()], [$box->x + self::PORT, $box->y]];
            }
            $row = $this->exits($step, $box, $column, $row);
            $before = $box;
        }

        return $row;
    }

    private function box(Step $step, int $column, int $row): Box
    {
        $this->columns = max($this->columns, $column);
        $text = StepLines::write($step, $this->plan) ?? '';

        return $this->boxes[$step->id()] = new Box(
            $step->id(),
            $text,
            self::MARGIN + $column * (self::BOX_WIDTH + self::GAP),
            self::top($row),
            self::BOX_WIDTH,
            self::BOX_HEIGHT,
        );
    }

    private static function top(int $row): int
    {
        return self::MARGIN + self::ROW_GAP + $row * (self::BOX_HEIGHT + self::ROW_GAP);
    }

    /** @return int the first row below the step and all that its exits lead to */
    private function exits(Step $step, Box $box, int $column, int $row): int
    {
        $below = $row + 1;
        $next = $row;
        foreach ($step->exits()->items as $exit) {
            $this->label($step, $exit, $box, $next);
            $next = [] === $exit->steps->steps ? $next + 1 : $this->list($exit->steps, $column + 1, $next);
            $below = max($below, $next);
        }
        if ($next > $row) {
            $this->columns = max($this->columns, $column + 1);
        }

        return $below;
    }

    private function label(Step $step, StepExit $exit, Box $box, int $row): void
    {
        $trunk = $box->right() + self::BESIDE;
        $end = $box->right() + self::GAP;
        $level = self::top($row) + intdiv(self::BOX_HEIGHT, 2);
        $this->lines[] = [
            [$box->right(), $box->middle()],
            [$trunk, $box->middle()],
            [$trunk, $level],
            [[] === $exit->steps->steps ? $end - self::BESIDE : $end, $level],
        ];
        $key = $step->id() . ':' . $exit->on;
        $this->labels[$key] = new Box(
            $key,
            $this->words($step, $exit),
            $trunk + 4,
            $level - self::LABEL_HEIGHT - 4,
            self::GAP - 3 * self::BESIDE,
            self::LABEL_HEIGHT,
        );
    }

    private function words(Step $step, StepExit $exit): string
    {
        $on =
            $step instanceof HoursStep
                ? $this->plan->get(Hours::class, $step->hours)?->states->nameOf($exit->on) ?? $exit->on
                : $this->plan->nameOf($exit->on);

        return trim($on . ' ' . $exit->label) . ([] === $exit->steps->steps ? ': goes on' : '');
    }
}
