<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Plan\InvalidData;

/**
 * A value of decoded JSON with its place in the document. Reading a field of the wrong shape files a complaint and
 * gives a harmless value, so that one pass finds every problem.
 */
final readonly class Input
{
    /** A plan of a large company has some ten thousand elements. */
    private const MOST_ITEMS = 50000;

    private function __construct(private mixed $value, public string $pointer, private Complaints $complaints, private bool $given = true)
    {
    }

    /**
     * @template T
     *
     * @param \Closure(self): T $read
     *
     * @return T
     *
     * @throws InvalidData with every problem that the reader found
     */
    public static function read(mixed $value, \Closure $read): mixed
    {
        $complaints = new Complaints();
        $result = $read(new self($value, '', $complaints));
        $complaints->throwIfAny();

        return $result;
    }

    public function complain(string $message, string $remedy): void
    {
        $this->complaints->add($this->pointer, $message, $remedy);
    }

    public function isText(): bool
    {
        return \is_string($this->value);
    }

    public function isGiven(): bool
    {
        return $this->given && null !== $this->value;
    }

    public function field(string $name): self
    {
        $pointer = $this->pointer.'/'.str_replace(['~', '/'], ['~0', '~1'], $name);
        $given = \is_array($this->value) && \array_key_exists($name, $this->value);

        return new self($given ? $this->value[$name] : null, $pointer, $this->complaints, $given);
    }

    /** @param list<string> $known */
    public function onlyFields(array $known): void
    {
        if (!\is_array($this->value) || ([] !== $this->value && array_is_list($this->value))) {
            $this->complain('This must be an object.', 'Give its fields by name.');

            return;
        }
        foreach (array_keys($this->value) as $name) {
            if (!\in_array((string) $name, $known, true)) {
                $this->field((string) $name)->complain('This field is not known here.', 'Known fields: '.implode(', ', $known).'.');
            }
        }
    }

    /** @return list<self> */
    public function items(): array
    {
        if (!$this->isGiven()) {
            return [];
        }
        if (!\is_array($this->value) || !array_is_list($this->value)) {
            $this->complain('This must be a list.', 'Write it in square brackets.');

            return [];
        }
        if (\count($this->value) > self::MOST_ITEMS) {
            $this->complain('This list is too long.', \sprintf('Keep it to %d entries.', self::MOST_ITEMS));

            return [];
        }
        $items = [];
        foreach ($this->value as $i => $item) {
            $items[] = new self($item, $this->pointer.'/'.$i, $this->complaints);
        }

        return $items;
    }

    /** @return array<string, self> the fields of an object whose names are data */
    public function entries(): array
    {
        if (!$this->isGiven()) {
            return [];
        }
        if (!\is_array($this->value) || ([] !== $this->value && array_is_list($this->value))) {
            $this->complain('This must be an object.', 'Give its fields by name.');

            return [];
        }
        $entries = [];
        foreach (array_keys($this->value) as $name) {
            $entries[(string) $name] = $this->field((string) $name);
        }

        return $entries;
    }

    public function text(int $longest = 200): string
    {
        $text = $this->optionalText($longest);
        if ('' === $text) {
            $this->complain('This is missing.', 'Enter some text.');
        }

        return $text;
    }

    public function optionalText(int $longest = 200): string
    {
        if (!$this->isGiven()) {
            return '';
        }
        if (!\is_string($this->value)) {
            $this->complain('This must be text.', 'Write it in quotes.');

            return '';
        }
        $text = trim($this->value);
        if (!mb_check_encoding($text, 'UTF-8') || 1 === preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', $text)) {
            $this->complain('This holds characters that cannot be shown.', 'Type it again as plain text.');

            return '';
        }
        if (mb_strlen($text) > $longest) {
            $this->complain(\sprintf('This is longer than %d characters.', $longest), 'Shorten it.');
        }

        return $text;
    }

    /** A text of several lines that is checked by whoever reads it, such as a file. */
    public function long(int $mostBytes): string
    {
        if (!\is_string($this->value) || '' === $this->value) {
            $this->complain('This is missing.', 'Give the text of the file.');

            return '';
        }
        if (\strlen($this->value) > $mostBytes) {
            $this->complain(\sprintf('The file is larger than %d kB.', intdiv($mostBytes, 1000)), 'Give a smaller one.');

            return '';
        }

        return $this->value;
    }

    public function whole(int $least, int $most, string $unit, ?int $default = null): int
    {
        if (!$this->given && null !== $default) {
            return $default;
        }
        if (!\is_int($this->value) || $this->value < $least || $this->value > $most) {
            $this->complain(\sprintf('This must be a whole number of %s from %d to %d.', $unit, $least, $most), 'Enter such a number.');

            return $default ?? $least;
        }

        return $this->value;
    }

    public function flag(bool $default): bool
    {
        if (!$this->isGiven()) {
            return $default;
        }
        if (!\is_bool($this->value)) {
            $this->complain('This must be true or false.', 'Choose one of the two.');

            return $default;
        }

        return $this->value;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     */
    public function oneOf(string $enum, \BackedEnum $default): \BackedEnum
    {
        $choice = \is_string($this->value) ? $enum::tryFrom($this->value) : null;
        if (null === $choice && $this->given) {
            $values = array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases());
            $this->complain('This is not one of the choices.', 'Choose one of: '.implode(', ', $values).'.');
        }
        if (null === $choice) {
            \assert($default instanceof $enum);

            return $default;
        }

        return $choice;
    }

    /** An id of another element; an empty text or null means that nothing is chosen yet. */
    public function reference(): ?string
    {
        $id = $this->optionalText(80);

        return '' === $id ? null : $id;
    }

    public function id(): string
    {
        $id = $this->optionalText(80);
        if (1 !== preg_match('/^[a-z][a-z0-9_]{1,63}$/D', $id)) {
            $this->complain('This is not an id.', 'Use 2 to 64 lower-case letters, digits and underscores, starting with a letter.');
        }

        return $id;
    }
}
