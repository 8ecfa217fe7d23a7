<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\InvalidData;

/** Who calls: a number in E.164, an internal extension, or somebody who withholds their number. */
final readonly class Caller
{
    public const WITHHELD = 'withheld';
    private const INSIDE = 'inside';

    private function __construct(public string $text) {}

    /**
     * @param string $country whose national format is understood
     *
     * @throws InvalidData
     */
    public static function parse(string $text, string $country): self
    {
        $text = trim($text);
        if ('' === $text || self::WITHHELD === strtolower($text)) {
            return new self(self::WITHHELD);
        }
        $self = new self($text);
        if ($self->isExtension()) {
            return $self;
        }

        return new self(PhoneNumber::parse($text, $country));
    }

    public static function withheld(): self
    {
        return new self(self::WITHHELD);
    }

    /** A call of ours that comes back in by one of our numbers. */
    public static function inside(): self
    {
        return new self(self::INSIDE);
    }

    /** Somebody inside: only they may dial codes. */
    public function isExtension(): bool
    {
        return self::INSIDE === $this->text || 1 === preg_match('/^[0-9]{2,6}$/D', $this->text);
    }
}
