<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\CsvTable;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;

/** People as comma-separated values: one header line, one line each. */
final class PeopleTable
{
    public const COLUMNS = ['name', 'extension', 'site', 'desk', 'soft', 'outside', 'mailbox'];

    /**
     * @param int $most people that one file brings
     *
     * @return list<PersonRow>
     *
     * @throws InvalidData at "/text" when the file cannot be a table of people
     */
    public static function read(string $text, int $most = Limits::PEOPLE): array
    {
        $rows = self::table()->read($text, $most);

        return array_map(self::row(...), array_keys($rows), array_values($rows));
    }

    /** @param array<string, string> $cells */
    private static function row(int $line, array $cells): PersonRow
    {
        $list = static fn(string $column): array => array_values(
            array_filter(
                array_map(trim(...), explode(';', $cells[$column] ?? '')),
                static fn(string $one): bool => '' !== $one,
            ),
        );

        return new PersonRow(
            $line,
            $cells['name'],
            $cells['extension'] ?? '',
            $cells['site'] ?? '',
            new RowPhones($list('desk'), $list('soft'), $list('outside')),
            $cells['mailbox'] ?? '',
        );
    }

    public static function write(Plan $plan): string
    {
        return self::table()->write(
            array_map(static fn(Person $person): array => self::cells($person, $plan), $plan->all(Person::class)),
        );
    }

    /** @return list<string> in the order of the columns */
    public static function cells(Person $person, Plan $plan): array
    {
        $labels = static fn(PhoneType $type): string => implode(
            '; ',
            array_map(
                static fn(Phone $phone): string => trim($phone->label . ' ' . $phone->number()),
                array_filter($person->reach->phones, static fn(Phone $phone): bool => $phone->type === $type),
            ),
        );

        return [
            $person->name(),
            $person->known->extension,
            $plan->get(Site::class, $person->site)?->name() ?? '',
            $labels(PhoneType::Desk),
            $labels(PhoneType::Soft),
            $labels(PhoneType::Outside),
            $plan->get(Mailbox::class, $person->reach->mailbox)?->name() ?? '',
        ];
    }

    private static function table(): CsvTable
    {
        return new CsvTable(self::COLUMNS, 'name', 'people');
    }
}
