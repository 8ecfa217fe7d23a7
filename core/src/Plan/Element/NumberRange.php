<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\Input;

/** What is dialled: one number, a block of them, or all that begin alike. */
final readonly class NumberRange
{
    private const BEGINNING = '/^\+[1-9][0-9]{1,13}\*$/D';

    /**
     * @param string           $number E.164 with its plus sign; that of the first of a block; or a beginning, such as "+4416329602*"
     * @param NumberBlock|null $block  null for a single number
     */
    public function __construct(public string $number, public ?NumberBlock $block) {}

    /** @param Input $in the whole number */
    public static function fromJson(Input $in): self
    {
        $number = self::readNumber($in->field('number'));
        $block = $in->field('block');
        if ($block->isGiven() && str_ends_with($number, '*')) {
            $block->complain('beginning-with-block');
        }

        return new self($number, str_ends_with($number, '*') ? null : NumberBlock::fromJson($block, $number));
    }

    private static function readNumber(Input $in): string
    {
        $text = $in->isText() ? $in->exactText(40) : '';

        return 1 === preg_match(self::BEGINNING, $text) ? $text : PhoneNumber::readE164($in);
    }

    /** Whether it stands for more numbers than one. */
    public function isMany(): bool
    {
        return null !== $this->block || str_ends_with($this->number, '*');
    }

    public function takes(string $dialled): bool
    {
        return match (true) {
            null !== $this->block => $this->block->contains($dialled),
            str_ends_with($this->number, '*') => str_starts_with($dialled, substr($this->number, 0, -1)),
            default => $this->number === $dialled,
        };
    }

    /** Of the first of its block; empty where its numbers are nobody's extensions. */
    public function extension(): string
    {
        return $this->block->extension ?? '';
    }

    /** One that it takes, to try: itself, the first of its block, or one that begins so. */
    public function example(): string
    {
        return str_replace('*', '0', $this->number);
    }

    /** Of two that take a number, the one with the smaller count is the more particular; blocks come before beginnings. */
    public function breadth(): int
    {
        return $this->block?->size() ?? (str_ends_with($this->number, '*') ? \PHP_INT_MAX - \strlen($this->number) : 1);
    }
}
