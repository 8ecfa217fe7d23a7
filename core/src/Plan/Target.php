<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/**
 * What a call may go to: an element, a single phone of a person, a number in E.164, or the end of the call. In JSON it
 * is one text: `per_dana`, `per_dana/desk`, `+441632960100`, `end the call`.
 */
final readonly class Target
{
    /** In place of an id, which has no space. */
    public const END = 'end the call';

    /**
     * @param string|null $element by id; null for a number and for the end
     * @param string|null $phone   of the person that the element is, by its id there
     * @param string|null $number  E.164
     */
    private function __construct(
        public ?string $element = null,
        public ?string $phone = null,
        public ?string $number = null,
    ) {}

    public static function element(string $id): self
    {
        return new self($id);
    }

    public static function phone(string $person, string $phone): self
    {
        return new self($person, $phone);
    }

    public static function number(string $e164): self
    {
        return new self(number: $e164);
    }

    public static function end(): self
    {
        return new self();
    }

    /** @return self|null null where the text is none of them */
    public static function parse(string $text): ?self
    {
        $parts = explode('/', $text);

        return match (true) {
            self::END === $text => self::end(),
            1 === preg_match(PhoneNumber::E164, $text) => self::number($text),
            [] !== array_filter($parts, static fn(string $part): bool => 1 !== preg_match(Input::ID, $part)) => null,
            1 === \count($parts) => self::element($text),
            2 === \count($parts) => self::phone($parts[0], $parts[1]),
            default => null,
        };
    }

    /** An element; null where nothing is chosen. */
    public static function readElement(Input $in): ?self
    {
        return self::readIf($in, static fn(self $target): bool => null !== $target->element && null === $target->phone);
    }

    /** An element or a number; null where nothing is chosen. */
    public static function read(Input $in): ?self
    {
        return self::readIf($in, static fn(self $target): bool => null === $target->phone && !$target->isEnd());
    }

    /** The same, or the end of the call. */
    public static function readOrEnd(Input $in): ?self
    {
        return self::readIf($in, static fn(self $target): bool => null === $target->phone);
    }

    /** The same as read(), or a single phone. */
    public static function readOrPhone(Input $in): ?self
    {
        return self::readIf($in, static fn(self $target): bool => !$target->isEnd());
    }

    /** @param \Closure(self): bool $fits */
    private static function readIf(Input $in, \Closure $fits): ?self
    {
        $text = $in->isGiven() ? $in->optionalExactText(Limits::TARGET) : '';
        if ('' === $text) {
            return null;
        }
        $target = 1 === preg_match('/^[+0-9]/', $text) ? self::number(PhoneNumber::readE164($in)) : self::parse($text);
        if (null === $target || !$fits($target)) {
            $in->complain('not-a-target', ['target' => Input::quote($text)]);

            return null;
        }

        return $target;
    }

    public function isEnd(): bool
    {
        return null === $this->element && null === $this->number;
    }

    public function text(): string
    {
        return $this->number ??
            (null === $this->element ? self::END : $this->element . (null === $this->phone ? '' : '/' . $this->phone));
    }

    /**
     * @param list<Kind> $allowed
     *
     * @return list<Reference> none for a number and for the end
     */
    public function references(string $pointer, array $allowed, string $role): array
    {
        return null === $this->element ? [] : [new Reference($this->element, $pointer, $allowed, $role, $this->phone)];
    }
}
