<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** Where a take comes from. */
final readonly class TakeOrigin
{
    /**
     * @param string $voice who reads it
     * @param string $by    who brought it
     * @param string $at    when, in UTC: 2026-11-23T10:00:00Z
     * @param string $note  to colleagues
     */
    public function __construct(
        public string $voice = '',
        public string $by = '',
        public string $at = '',
        public string $note = '',
    ) {}

    /** @param Input $in the whole take */
    public static function fromJson(Input $in): self
    {
        $at = $in->field('at')->optionalExactText(20);
        if ('' !== $at && 1 !== preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/D', $at)) {
            $in->field('at')->complain('not-an-instant', ['text' => Input::quote($at)]);
        }

        return new self(
            $in->field('voice')->optionalText(),
            $in->field('by')->optionalText(),
            $at,
            $in->field('note')->optionalText(1000),
        );
    }

    /** @return array{voice: string, by: string, at: string, note: string} */
    public function toJson(): array
    {
        return ['voice' => $this->voice, 'by' => $this->by, 'at' => $this->at, 'note' => $this->note];
    }
}
