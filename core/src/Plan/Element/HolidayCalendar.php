<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\HolidayReader;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Parts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\Holidays;

/** Dated rules shared by many hours. */
final readonly class HolidayCalendar implements Element
{
    use Named;

    public function __construct(private About $about, public Holidays $holidays) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'holidays']);

        return new self(About::fromJson($in), HolidayReader::holidays($in->field('holidays')));
    }

    public function parts(): Parts
    {
        return new Parts(
            '/holidays',
            'holiday',
            array_map(static fn(Holiday $holiday): string => $holiday->id, $this->holidays->entries),
        );
    }

    public function kind(): Kind
    {
        return Kind::Calendar;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'holidays' => array_map(static fn(Holiday $holiday): array => $holiday->toJson(), $this->holidays->entries),
        ];
    }

    public function references(): array
    {
        return [];
    }
}
