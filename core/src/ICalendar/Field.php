<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Sabre\VObject\Parameter;
use Sabre\VObject\Property;

/** A property of a calendar file: its text, the values it lists, and its time zone. */
final readonly class Field
{
    /**
     * @param list<string> $values as written: dates 20261225, local times 20261225T090000, UTC with Z
     * @param string       $zone   TZID as written, "UTC" for times with Z, empty for dates and floating times
     */
    private function __construct(public string $text, public array $values, public string $zone) {}

    public static function of(Property $property): self
    {
        $values = [];
        foreach ($property->getParts() as $part) {
            $values[] = \is_scalar($part) ? (string) $part : '';
        }
        $zone = $property->parameters()['TZID'] ?? null;
        $text = implode(',', $values);
        $raw = $property->getRawMimeDirValue();

        return new self(
            $property instanceof Property\ICalendar\Recur ? $raw : $text,
            $values,
            match (true) {
                str_ends_with($values[0] ?? '', 'Z') => 'UTC',
                $zone instanceof Parameter => trim((string) $zone->getValue(), '"'),
                default => '',
            },
        );
    }

    public function value(): string
    {
        return $this->values[0] ?? '';
    }

    /** Whether it is a date without a time. */
    public function isDate(): bool
    {
        return 8 === \strlen($this->value());
    }
}
