<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** What is played to whoever waits. */
final readonly class QueueMusic
{
    /**
     * @param list<string> $pieces   prompts, again from the first when all were played; none for a ringing tone
     * @param bool         $shuffled whether each round has an order of its own
     */
    public function __construct(public array $pieces = [], public bool $shuffled = false) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['pieces', 'shuffled']);

        return new self(
            array_map(
                static fn(Input $item): string => $item->text(Limits::ID),
                $in->field('pieces')->items(Limits::PIECES),
            ),
            $in->field('shuffled')->flag(false),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['pieces' => $this->pieces, 'shuffled' => $this->shuffled];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        foreach ($this->pieces as $i => $piece) {
            $references[] = new Reference(
                $piece,
                \sprintf('%s/pieces/%d', $pointer, $i),
                [Kind::Prompt],
                'plays it to whoever waits',
            );
        }

        return $references;
    }
}
