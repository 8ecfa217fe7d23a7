<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Element;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Wording\ProblemWords;

/** An element of the draft whose row cannot be read; the draft goes on without it. */
final readonly class UnreadableElement
{
    /**
     * @param list<Problem> $problems what is wrong; none where its kind is not known
     * @param Element|null  $lastGood its last state that can be read
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $revision,
        public array $problems,
        public ?Element $lastGood,
    ) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'revision' => $this->revision,
            'detail' =>
                [] === $this->problems
                    ? 'Its kind is not known.'
                    : $this->problems[0]->pointer . ': ' . ProblemWords::message($this->problems[0]),
            'lastGood' => $this->lastGood?->toJson(),
        ];
    }
}
