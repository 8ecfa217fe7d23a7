<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Worded;
use Meandros\Core\Reading\InvalidData;

/** Where words stand in the draft: found by an index, so that it costs as much as is shown of it. */
final readonly class WordedPlaces
{
    public const MOST = 60;
    /** Rows that are looked at where words stand in very many. */
    private const MOST_ROWS = 1000;

    public function __construct(private Connection $database) {}

    /** @return list<string> ids of elements in which words stand, or in their names; some in which they are only part of words */
    public function elements(string $words, int $most): array
    {
        $like = static fn(string $text): string => '%' .
            implode('%', preg_split('/\s+/u', addcslashes($text, '%_\\')) ?: []) .
            '%';

        /** @var list<string> */
        return $this->database->fetchFirstColumn(
            'SELECT id FROM draft_element WHERE id IN (SELECT element_id FROM draft_worded WHERE words LIKE ? UNION SELECT id FROM draft_element WHERE name ILIKE ?) ORDER BY kind, name, id LIMIT ?',
            [$like(Worded::plain($words)), $like(trim($words)), $most],
        );
    }

    /** @return array{list<array<string, string|null>>, bool} places, and whether there are more */
    public function of(string $words): array
    {
        /** @var list<string> $bodies */
        $bodies = $this->database->fetchFirstColumn(
            'SELECT e.body FROM draft_element e WHERE e.id IN (SELECT element_id FROM draft_worded WHERE words LIKE ? LIMIT ?) ORDER BY e.kind, e.name, e.id LIMIT ?',
            ['%' . addcslashes(Worded::plain($words), '%_\\') . '%', self::MOST_ROWS, self::MOST + 1],
        );
        $places = [];
        foreach ($bodies as $body) {
            try {
                $element = PlanCodec::storedElement($body);
            } catch (InvalidData) {
                // It is told elsewhere that it cannot be read.
                continue;
            }
            foreach (Worded::in($element) as $worded) {
                $excerpt = $worded->excerpt($words);
                null === $excerpt ||
                    ($places[] = [
                        'id' => $element->id(),
                        'kind' => $element->kind()->value,
                        'name' => $element->name(),
                        'pointer' => $worded->pointer,
                        'step' => $worded->step,
                        ...$excerpt,
                    ]);
            }
        }

        return [\array_slice($places, 0, self::MOST), \count($places) > self::MOST];
    }
}
