<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Json\DateReader;
use Meandros\Core\Reading\Input;
use Meandros\Core\Time\CivilDate;

/** Somebody knows of a finding and does not want to read of it, until a day; it is not forgotten. */
final readonly class Silence
{
    /**
     * @param string $element in which it is found, by id; it may be gone
     * @param string $code    what is found
     * @param int    $until   days since 1970-01-01: the first on which it is told again
     */
    public function __construct(
        public string $element,
        public string $code,
        public string $reason,
        public int $until,
    ) {}

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['element', 'code', 'reason', 'until']);

        return new self(
            $in->field('element')->id(),
            $in->field('code')->text(80),
            $in->field('reason')->text(300),
            DateReader::date($in->field('until')) ?? 0,
        );
    }

    /** @return array{element: string, code: string, reason: string, until: string} */
    public function toJson(): array
    {
        return [
            'element' => $this->element,
            'code' => $this->code,
            'reason' => $this->reason,
            'until' => CivilDate::format($this->until),
        ];
    }
}
