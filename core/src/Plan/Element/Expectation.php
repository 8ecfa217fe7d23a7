<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Expected\ExpectedCalls;
use Meandros\Core\Plan\Expected\ExpectedTimes;
use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Plan\Expected\PromiseReader;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;

/** A promise about calls, held against every moment that it names. */
final readonly class Expectation implements Element
{
    use Named;
    use WithoutParts;

    public function __construct(
        private About $about,
        public ExpectedCalls $calls,
        public ExpectedTimes $when,
        public Promise $promise,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'calls', 'when', 'promise']);

        return new self(
            About::fromJson($in),
            ExpectedCalls::fromJson($in->field('calls')),
            ExpectedTimes::fromJson($in->field('when')),
            PromiseReader::read($in->field('promise')),
        );
    }

    public function kind(): Kind
    {
        return Kind::Expectation;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'calls' => $this->calls->toJson(),
            'when' => $this->when->toJson(),
            'promise' => $this->promise->toJson(),
        ];
    }

    public function references(): array
    {
        return [
            ...$this->calls->references('/calls'),
            ...$this->when->references('/when'),
            ...$this->promise->references('/promise'),
        ];
    }
}
