<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Target;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;

/** A phone number that callers dial, with its label, its language and one target. */
final readonly class Number implements Element
{
    use Named;
    use WithoutParts;

    /**
     * @param string $number      E.164 with its plus sign
     * @param bool   $tellsCaller whether its line delivers the numbers of callers
     */
    public function __construct(
        private string $id,
        private string $name,
        public string $number,
        public string $site,
        public string $language,
        public ?Target $target,
        public bool $tellsCaller = true,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'number', 'site', 'language', 'target', 'tellsCaller']);

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            PhoneNumber::readE164($in->field('number')),
            $in->field('site')->text(80),
            Language::read($in->field('language')),
            Target::readElement($in->field('target')),
            $in->field('tellsCaller')->flag(true),
        );
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
