<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\DateReader;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Target;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Time\CivilDate;

/**
 * A phone number that callers dial, a block of them, or all that begin alike; with its label, its language and one target. Of several
 * that fit what is dialled the most particular one holds: the number itself, then a block, then the longest beginning.
 */
final readonly class Number implements Element
{
    use Named;
    use WithoutParts;

    /** What every block and beginning is mentioned by, so that those a number may lie in are found without looking through the plan. */
    public const MANY = '+*';
    private const BEGINNING = '/^\+[1-9][0-9]{1,13}\*$/D';

    /**
     * @param string           $number      E.164 with its plus sign; that of the first of a block; or a beginning, such as "+4416329602*"
     * @param bool             $tellsCaller whether its line delivers the numbers of callers
     * @param NumberBlock|null $block       null for a single number
     * @param string|null      $keptUntil   a date: it was given up, and is kept free until then, since callers still know it
     */
    public function __construct(
        private string $id,
        private string $name,
        public string $number,
        public string $site,
        public string $language,
        public ?Target $target,
        public bool $tellsCaller = true,
        public ?NumberBlock $block = null,
        public ?string $keptUntil = null,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            'id',
            'kind',
            'name',
            'number',
            'site',
            'language',
            'target',
            'tellsCaller',
            'block',
            'keptUntil',
        ]);
        $number = self::readNumber($in->field('number'));
        $block = $in->field('block');
        if ($block->isGiven() && str_ends_with($number, '*')) {
            $block->complain('beginning-with-block');
        }

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $number,
            $in->field('site')->text(80),
            Language::read($in->field('language')),
            Target::readElement($in->field('target')),
            $in->field('tellsCaller')->flag(true),
            str_ends_with($number, '*') ? null : NumberBlock::fromJson($block, $number),
            self::readDate($in->field('keptUntil')),
        );
    }

    private static function readNumber(Input $in): string
    {
        $text = $in->isText() ? $in->exactText(40) : '';

        return 1 === preg_match(self::BEGINNING, $text) ? $text : PhoneNumber::readE164($in);
    }

    private static function readDate(Input $in): ?string
    {
        $day = $in->isGiven() ? DateReader::date($in) : null;

        return null === $day ? null : CivilDate::format($day);
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

    public function kind(): Kind
    {
        return Kind::Number;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'kind' => 'number',
            'name' => $this->name,
            'number' => $this->number,
            'site' => $this->site,
            'language' => $this->language,
            'target' => $this->target?->text(),
            'tellsCaller' => $this->tellsCaller,
            'block' => $this->block?->toJson(),
            'keptUntil' => $this->keptUntil,
        ];
    }

    public function references(): array
    {
        return [
            new Reference($this->site, '/site', [Kind::Site], 'belongs to it'),
            ...$this->target?->references('/target', Kind::takingCalls(), 'sends its calls there') ?? [],
        ];
    }
}
