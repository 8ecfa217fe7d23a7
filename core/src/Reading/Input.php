<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

use Meandros\Core\Value\Lists;

/**
 * A value of decoded JSON with its place in the document. Reading a field of the wrong shape files a complaint and
 * gives a harmless value, so that one pass finds every problem.
 */
final readonly class Input
{
    /** The shape of ids. */
    public const ID = '/^[a-z][a-z0-9_]{1,63}$/D';

    private function __construct(
        private mixed $value,
        public string $pointer,
        private Complaints $complaints,
        private bool $given = true,
    ) {}

    /**
     * @template T
     *
     * @param \Closure(self): T $read
     * @param bool              $isTrusted whether it was read and checked before, and is kept since: what is costly is not checked again
     *
     * @return T
     *
     * @throws InvalidData with every problem that the reader found
     */
    public static function read(mixed $value, \Closure $read, bool $isTrusted = false): mixed
    {
        $complaints = new Complaints($isTrusted);
        try {
            $result = $read(new self($value, '', $complaints));
        } catch (TooManyProblems $enough) {
            $complaints->throwIfAny();
            throw $enough;
        }
        $complaints->throwIfAny();

        return $result;
    }

    /** A value as it may be told back. */
    public static function quote(string $value): string
    {
        return mb_strlen($value) > Limits::ECHOED ? mb_substr($value, 0, Limits::ECHOED - 1) . '…' : $value;
    }

    /** @param array<string, string|int|list<string>|Problem> $arguments */
    public function complain(string $code, array $arguments = []): void
    {
        $this->complaints->add(new Problem($this->pointer, $code, $arguments));
    }

    /** Files what somebody else found wrong with this value, and within it. */
    public function take(InvalidData $invalid): void
    {
        foreach ($invalid->problems as $problem) {
            $this->complaints->add($problem->under($this->pointer));
        }
    }

    public function isTrusted(): bool
    {
        return $this->complaints->isTrusted;
    }

    public function isText(): bool
    {
        return \is_string($this->value);
    }

    /** Whether the field stands there at all, even as null. */
    public function isNamed(): bool
    {
        return $this->given;
    }

    public function isGiven(): bool
    {
        return $this->given && null !== $this->value;
    }

    /** @param literal-string $name */
    public function field(string $name): self
    {
        return $this->under($name, $name);
    }

    /** A field whose name is known to whoever asks, and no constant. */
    public function named(string $name): self
    {
        return $this->entry($name);
    }

    /** A field whose name is data: any text at all. */
    private function entry(string $name): self
    {
        return $this->under($name, str_replace(['~', '/'], ['~0', '~1'], self::quote($name)));
    }

    private function under(string $name, string $token): self
    {
        $given = \is_array($this->value) && \array_key_exists($name, $this->value);

        return new self($given ? $this->value[$name] : null, $this->pointer . '/' . $token, $this->complaints, $given);
    }

    /** @return array<string, mixed> its fields as they stand there, unread */
    public function fields(): array
    {
        $fields = [];
        foreach (\is_array($this->value) ? $this->value : [] as $name => $value) {
            $fields[(string) $name] = $value;
        }

        return $fields;
    }

    /** A part of this value that is read on its own. */
    public function part(int $place, mixed $value): self
    {
        return new self($value, $this->pointer . '/' . $place, $this->complaints);
    }

    /** @param list<string> $known */
    public function onlyFields(array $known): void
    {
        if (!\is_array($this->value) || ([] !== $this->value && array_is_list($this->value))) {
            $this->complain('not-an-object');

            return;
        }
        if (\count($this->value) > Limits::FIELDS) {
            $this->complain('too-many-fields', ['most' => Limits::FIELDS]);

            return;
        }
        foreach (array_keys($this->value) as $name) {
            if (!Lists::has($known, (string) $name)) {
                $this->entry((string) $name)->complain('field-not-known', ['choices' => $known]);
            }
        }
    }

    /**
     * @param int $most of Limits
     *
     * @return list<self>
     */
    public function items(int $most): array
    {
        if (!$this->given) {
            return [];
        }
        if (!\is_array($this->value) || !array_is_list($this->value)) {
            $this->complain('not-a-list');

            return [];
        }
        if (\count($this->value) > $most) {
            $this->complain('list-too-long', ['most' => $most]);

            return [];
        }
        $items = [];
        foreach ($this->value as $i => $item) {
            $items[] = new self($item, $this->pointer . '/' . $i, $this->complaints);
        }

        return $items;
    }

    /**
     * @param int $most of Limits
     *
     * @return array<self> the fields of an object whose names are data, by name
     */
    public function entries(int $most): array
    {
        if (!$this->given) {
            return [];
        }
        if (!\is_array($this->value) || ([] !== $this->value && array_is_list($this->value))) {
            $this->complain('not-an-object');

            return [];
        }
        if (\count($this->value) > $most) {
            $this->complain('too-many-entries', ['most' => $most]);

            return [];
        }
        $entries = [];
        foreach (array_keys($this->value) as $name) {
            $entries[(string) $name] = $this->entry((string) $name);
        }

        return $entries;
    }

    public function text(int $longest = Limits::NAME): string
    {
        $text = $this->isGiven() ? $this->optionalText($longest) : '';
        if ('' === $text && (!$this->isGiven() || \is_string($this->value))) {
            $this->complain('missing');
        }

        return $text;
    }

    /** Words: spaces around them are taken off. */
    public function optionalText(int $longest = Limits::NAME): string
    {
        return $this->given ? trim($this->anyText($longest)) : '';
    }

    /** A date, a time, a code: taken as it stands, spaces and all. */
    public function exactText(int $longest): string
    {
        $text = $this->given ? $this->anyText($longest) : '';
        if (!$this->given || '' === $this->value) {
            $this->complain('missing');
        }

        return $text;
    }

    /** Characters of a text; 0 where it is none. */
    public function length(): int
    {
        return \is_string($this->value) ? mb_strlen($this->value) : 0;
    }

    /** The same, and it may be empty or missing. */
    public function optionalExactText(int $longest): string
    {
        return $this->given ? $this->anyText($longest) : '';
    }

    private function anyText(int $longest): string
    {
        if (!\is_string($this->value)) {
            $this->complain('not-text');

            return '';
        }
        // False where it is not UTF-8.
        if (0 !== preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F]/u', $this->value)) {
            $this->complain('not-shown');

            return '';
        }
        if (\strlen($this->value) > $longest && mb_strlen($this->value) > $longest) {
            $this->complain('too-long', ['most' => $longest]);

            return mb_substr($this->value, 0, $longest);
        }

        return $this->value;
    }

    /**
     * A name that stands once in a list.
     *
     * @param array<string, mixed> $taken by name, of the entries before
     */
    public function once(array $taken): string
    {
        $name = $this->exactText(Limits::TARGET);
        if ('' !== $name && isset($taken[$name])) {
            $this->complain('name-twice', ['name' => self::quote($name)]);
        }

        return $name;
    }

    /** A text of several lines that is checked by whoever reads it, such as a file. */
    public function long(int $mostBytes): string
    {
        if (!\is_string($this->value) || '' === $this->value) {
            $this->complain('file-missing');

            return '';
        }
        if (\strlen($this->value) > $mostBytes) {
            $this->complain('file-too-large', ['most' => intdiv($mostBytes, 1000)]);

            return '';
        }

        return $this->value;
    }

    public function whole(int $least, int $most, string $unit, ?int $default = null): int
    {
        if (!$this->given && null !== $default) {
            return $default;
        }
        // JSON knows no difference between 5 and 5.0.
        $value =
            \is_float($this->value) && floor($this->value) === $this->value && abs($this->value) < 1e15
                ? (int) $this->value
                : $this->value;
        if (!\is_int($value) || $value < $least || $value > $most) {
            $this->complain('not-whole', ['unit' => $unit, 'least' => $least, 'most' => $most]);

            return $default ?? $least;
        }

        return $value;
    }

    /** @param string $code of what is wrong where anything else stands here */
    public function exactly(int $number, string $code): void
    {
        Lists::has([$number, (float) $number], $this->value) || $this->complain($code, ['number' => $number]);
    }

    /** @return int|null null where it is left open */
    public function optionalWhole(int $least, int $most, string $unit): ?int
    {
        return $this->isGiven() ? $this->whole($least, $most, $unit) : null;
    }

    /** @return bool|null null where it is left open */
    public function optionalFlag(): ?bool
    {
        return $this->isGiven() ? $this->flag(false) : null;
    }

    public function flag(bool $default): bool
    {
        if (!$this->given) {
            return $default;
        }
        if (!\is_bool($this->value)) {
            $this->complain('not-a-flag');

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
            $values = array_map(static fn(\BackedEnum $case): string => (string) $case->value, $enum::cases());
            $this->complain('not-a-choice', ['choices' => $values]);
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
        $id = $this->isGiven() ? $this->optionalText(Limits::ID) : '';

        return '' === $id ? null : $id;
    }

    /** Whether something may be called so; whatever is named otherwise needs not be looked for. */
    public static function isId(string $text): bool
    {
        return 1 === preg_match(self::ID, $text);
    }

    public function id(): string
    {
        $id = \is_string($this->value) ? $this->value : '';
        if (!self::isId($id)) {
            $this->complain('not-an-id');
        }

        return $id;
    }
}
