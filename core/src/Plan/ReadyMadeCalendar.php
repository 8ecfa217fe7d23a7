<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Json\HolidayReader;
use Meandros\Core\Reading\Input;
use Meandros\Core\Time\Holiday\Holidays;

/** Calendars of public holidays that ship with the core, each from the published rule that it names. */
final readonly class ReadyMadeCalendar
{
    private const FOLDER = __DIR__ . '/../../data/holidays';

    private function __construct(
        public string $key,
        public string $name,
        public string $country,
        public string $source,
        public Holidays $holidays,
    ) {}

    /** @return list<self> in order of name */
    public static function all(): array
    {
        $all = array_map(self::read(...), glob(self::FOLDER . '/*.json') ?: []);
        usort($all, static fn(self $a, self $b): int => $a->name <=> $b->name);

        return $all;
    }

    public static function find(string $key): ?self
    {
        foreach (self::all() as $one) {
            if ($one->key === $key) {
                return $one;
            }
        }

        return null;
    }

    private static function read(string $file): self
    {
        $data = json_decode((string) file_get_contents($file), true, 32, \JSON_THROW_ON_ERROR);

        return Input::read($data, static function (Input $in) use ($file): self {
            $in->onlyFields(['name', 'country', 'source', 'holidays']);

            return new self(
                basename($file, '.json'),
                $in->field('name')->text(),
                $in->field('country')->text(2),
                $in->field('source')->text(400),
                HolidayReader::holidays($in->field('holidays')),
            );
        });
    }
}
