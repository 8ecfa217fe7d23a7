<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\MentionIndex;
use Meandros\Core\Plan\Mentions;

/** Who mentions what in the draft: written with every element. */
final readonly class DraftMentions implements MentionIndex
{
    private const ROWS_AT_ONCE = 1000;

    public function __construct(private Connection $database)
    {
    }

    public function of(string $text): array
    {
        $ids = $this->database->fetchFirstColumn('SELECT m.element_id FROM draft_mention m JOIN draft_element e ON e.id = m.element_id WHERE m.mention = ? ORDER BY e.kind, e.name, e.id', [$text]);

        return array_values(array_filter($ids, \is_string(...)));
    }

    /** @param array<string, Element|null> $written by id; null for elements that are gone */
    public function write(array $written): void
    {
        $this->database->executeStatement('DELETE FROM draft_mention WHERE element_id IN (?)', [array_keys($written)], [ArrayParameterType::STRING]);
        $rows = [];
        foreach (array_filter($written) as $id => $element) {
            foreach (Mentions::by($element) as $mention) {
                $rows[] = [$id, $mention];
            }
        }
        foreach (array_chunk($rows, self::ROWS_AT_ONCE) as $chunk) {
            $this->database->executeStatement('INSERT INTO draft_mention (element_id, mention) VALUES '.implode(', ', array_fill(0, \count($chunk), '(?, ?)')), array_merge(...$chunk));
        }
    }
}
