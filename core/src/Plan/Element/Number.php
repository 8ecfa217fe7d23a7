<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\AtSite;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Target;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;

/**
 * A phone number that callers dial, a block of them, or all that begin alike; with its label, its language and one target. Of several
 * that fit what is dialled the most particular one holds: the number itself, then a block, then the longest beginning.
 */
final readonly class Number implements AtSite
{
    use Named;
    use WithoutParts;

    /** What every block and beginning is mentioned by, so that those a number may lie in are found without looking through the plan. */
    public const MANY = '+*';

    public function __construct(
        private About $about,
        public NumberRange $range,
        public NumberLine $line,
        public ?Target $target,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            ...About::FIELDS,
            'number',
            'site',
            'language',
            'target',
            'tellsCaller',
            'block',
            'keptUntil',
        ]);

        return new self(
            About::fromJson($in),
            NumberRange::fromJson($in),
            NumberLine::fromJson($in),
            Target::readElement($in->field('target')),
        );
    }

    public function site(): string
    {
        return $this->line->site;
    }

    public function kind(): Kind
    {
        return Kind::Number;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'number' => $this->range->number,
            'site' => $this->line->site,
            'language' => $this->line->language,
            'target' => $this->target?->text(),
            'tellsCaller' => $this->line->tellsCaller,
            'block' => $this->range->block?->toJson(),
            'keptUntil' => $this->line->keptUntil,
        ];
    }

    public function references(): array
    {
        return [
            new Reference($this->line->site, '/site', [Kind::Site], 'belongs to it'),
            ...$this->target?->references('/target', Kind::takingCalls(), 'sends its calls there') ?? [],
        ];
    }
}
