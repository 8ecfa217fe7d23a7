<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Reading\Limits;

use Sabre\VObject\Component;
use Sabre\VObject\Property;

/** One component of a calendar file (an event, a task …) as typed values. */
final readonly class Entry
{
    /** @param array<string, list<Field>> $fields by the property's name */
    private function __construct(private array $fields) {}

    public static function of(Component $component): self
    {
        $fields = [];
        foreach ($component->children() as $property) {
            if ($property instanceof Property) {
                $fields[(string) $property->name][] = Field::of($property);
            }
        }

        return new self($fields);
    }

    /** @return list<Field> */
    public function all(string $name): array
    {
        return $this->fields[$name] ?? [];
    }

    public function first(string $name): ?Field
    {
        return $this->fields[$name][0] ?? null;
    }

    public function text(string $name): string
    {
        return $this->first($name)->text ?? '';
    }

    public function name(): string
    {
        $name = trim((string) preg_replace('/[\x00-\x1F\s]+/u', ' ', $this->text('SUMMARY')));

        return '' === $name ? 'Without a name' : mb_substr($name, 0, Limits::NAME);
    }

    /** @return array<string, string> our own extensions, by name */
    public function extras(): array
    {
        $extras = [];
        foreach ($this->fields as $name => $fields) {
            if (str_starts_with($name, 'X-MEANDROS-')) {
                $extras[$name] = $fields[0]->text;
            }
        }

        return $extras;
    }
}
