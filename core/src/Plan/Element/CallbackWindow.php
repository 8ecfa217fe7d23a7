<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** When callers may be called back, and what becomes of places that are left. */
final readonly class CallbackWindow
{
    /**
     * @param int         $keptMinutes for which a place is kept
     * @param string|null $hours       in whose open states callers are called back; null for at any time
     * @param bool        $overnight   whether places that are left at closing time are kept until it opens again
     */
    public function __construct(
        public int $keptMinutes = 60,
        public ?string $hours = null,
        public bool $overnight = true,
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['keptMinutes', 'hours', 'overnight']);
        $usual = new self();

        return new self(
            $in->field('keptMinutes')->whole(1, 240, 'minutes', $usual->keptMinutes),
            $in->field('hours')->reference(),
            $in->field('overnight')->flag($usual->overnight),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['keptMinutes' => $this->keptMinutes, 'hours' => $this->hours, 'overnight' => $this->overnight];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        return null === $this->hours
            ? []
            : [new Reference($this->hours, $pointer . '/hours', [Kind::Hours], 'calls back while they are open')];
    }
}
