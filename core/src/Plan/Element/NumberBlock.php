<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Numbers in a row from the number that has it, each for an extension, or all for one target. */
final readonly class NumberBlock
{
    /**
     * @param string $first     E.164
     * @param string $last      E.164, of the same length
     * @param string $extension of the first number, the next one of the next; empty where all calls go to the target
     */
    public function __construct(private string $first, public string $last, public string $extension = '') {}

    public static function fromJson(Input $in, string $first): ?self
    {
        if (!$in->isGiven()) {
            return null;
        }
        $in->onlyFields(['last', 'extension']);
        $last = PhoneNumber::readE164($in->field('last'));
        $extension = $in->field('extension')->optionalExactText(10);
        if (1 !== preg_match('/^([0-9]{2,6})?$/D', $extension)) {
            $in->field('extension')->complain('not-an-extension');
            $extension = '';
        }
        $block = new self($first, $last, $extension);
        if ('' === $first || '' === $last) {
            return null;
        }
        if (\strlen($first) !== \strlen($last)) {
            $in->field('last')->complain('block-of-other-length', ['last' => $last, 'first' => $first]);

            return null;
        }
        if (strcmp($last, $first) <= 0) {
            $in->field('last')->complain('block-backwards', ['last' => $last, 'first' => $first]);
        } elseif ($block->size() > Limits::BLOCK) {
            $in->field('last')->complain('block-too-large', ['size' => $block->size(), 'most' => Limits::BLOCK]);
        } elseif ('' !== $extension && \strlen($block->lastExtension()) > \strlen($extension)) {
            $in->field('extension')->complain('block-beyond-extensions', [
                'first' => $extension,
                'last' => $block->lastExtension(),
                'digits' => \strlen($extension),
            ]);
        }

        return $block;
    }

    public function size(): int
    {
        return self::value($this->last) - self::value($this->first) + 1;
    }

    /** @return iterable<string> E.164, in order */
    public function numbers(): iterable
    {
        for ($value = self::value($this->first), $last = self::value($this->last); $value <= $last; ++$value) {
            yield '+' . $value;
        }
    }

    /** @return list<string> its numbers and their extensions: what tells whose each is mentions one or the other */
    public function dialled(): array
    {
        $dialled = [];
        foreach ($this->numbers() as $number) {
            array_push($dialled, $number, ...array_filter([$this->extensionOf($number)]));
        }

        return $dialled;
    }

    public function contains(string $number): bool
    {
        return \strlen($number) === \strlen($this->first) &&
            strcmp($this->first, $number) <= 0 &&
            strcmp($number, $this->last) <= 0;
    }

    public function overlaps(self $other): bool
    {
        return \strlen($other->first) === \strlen($this->first) &&
            strcmp($this->first, $other->last) <= 0 &&
            strcmp($other->first, $this->last) <= 0;
    }

    /** @return string|null the extension that a number of the block is for; null where it is for none */
    public function extensionOf(string $number): ?string
    {
        if ('' === $this->extension) {
            return null;
        }
        $extension = (string) ((int) $this->extension + self::value($number) - self::value($this->first));

        return str_pad($extension, \strlen($this->extension), '0', \STR_PAD_LEFT);
    }

    /** @return string|null the number of the block that is for an extension, E.164 */
    public function numberOf(string $extension): ?string
    {
        $place = (int) $extension - (int) $this->extension;
        $isWithin =
            '' !== $this->extension &&
            \strlen($extension) === \strlen($this->extension) &&
            $place >= 0 &&
            $place < $this->size();

        return $isWithin ? '+' . (self::value($this->first) + $place) : null;
    }

    public function lastExtension(): string
    {
        return (string) $this->extensionOf($this->last);
    }

    /** @return array{last: string, extension: string} */
    public function toJson(): array
    {
        return ['last' => $this->last, 'extension' => $this->extension];
    }

    /** Fifteen digits at most: a whole number holds them. */
    private static function value(string $number): int
    {
        return (int) substr($number, 1);
    }
}
