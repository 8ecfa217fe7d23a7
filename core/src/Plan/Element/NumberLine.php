<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Json\DateReader;
use Meandros\Core\Plan\Language;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Time\CivilDate;

/** The line that a number is on: where it ends, what is spoken there, and what it tells. */
final readonly class NumberLine
{
    /**
     * @param bool        $tellsCaller whether it delivers the numbers of callers
     * @param string|null $keptUntil   a date: the number was given up, and is kept free until then, since callers still know it
     */
    public function __construct(
        public string $site,
        public string $language,
        public bool $tellsCaller,
        public ?string $keptUntil,
    ) {}

    /** @param Input $in the whole number */
    public static function fromJson(Input $in): self
    {
        return new self(
            $in->field('site')->text(Limits::ID),
            Language::read($in->field('language')),
            $in->field('tellsCaller')->flag(true),
            self::readDate($in->field('keptUntil')),
        );
    }

    private static function readDate(Input $in): ?string
    {
        $day = $in->isGiven() ? DateReader::date($in) : null;

        return null === $day ? null : CivilDate::format($day);
    }
}
