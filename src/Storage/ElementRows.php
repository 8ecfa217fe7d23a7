<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Mentions;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;

/**
 * The rows of the draft's elements, and of what follows from each: what it mentions, what is dialled to reach it, what it
 * refers to. The last two are guarded by the database too: nothing is dialled twice, no reference leads nowhere.
 */
final readonly class ElementRows
{
    private const FOLLOWING = [
        'draft_mention' => 'mention',
        'draft_dialled' => 'dialled',
        'draft_reference' => 'target',
    ];

    public function __construct(private Connection $database) {}

    /**
     * Elements as they will be stored. Each is read back first: whatever is stored can be read.
     *
     * @param array<string, Element|null> $elements by id
     *
     * @return array<string, string|null> their JSON by id; null for those that go
     *
     * @throws InvalidData
     */
    public static function encode(array $elements): array
    {
        $rows = $problems = [];
        foreach ($elements as $id => $element) {
            try {
                $rows[$id] = null === $element ? null : PlanCodec::encodeElement($element);
                null === $rows[$id] || PlanCodec::storedElement($rows[$id]);
            } catch (InvalidData $invalid) {
                array_push(
                    $problems,
                    ...array_map(
                        static fn(Problem $problem): Problem => 1 === \count($elements)
                            ? $problem
                            : $problem->under('/' . $id),
                        $invalid->problems,
                    ),
                );
            }
        }
        if ([] !== $problems) {
            throw new InvalidData($problems);
        }

        return $rows;
    }

    /**
     * Brings the draft to one side of an edit that is in the log.
     *
     * @param 'before'|'after'            $side
     * @param array<string, Element|null> $elements      the same, by id
     * @param bool                        $withFollowing whether anything that follows from them may have changed
     */
    public function write(int $edit, string $side, array $elements, int $revision, bool $withFollowing): void
    {
        if (!$withFollowing) {
            $this->writeElements($edit, $side, $revision);

            return;
        }
        // Within one edit two extensions may change hands: what must hold is looked at when all of it is written.
        $this->database->executeStatement('SET CONSTRAINTS ALL DEFERRED');
        $this->database->executeStatement(
            "DELETE FROM draft_element WHERE id IN (SELECT element_id FROM edit_change WHERE edit_id = ? AND $side IS NULL)",
            [$edit],
        );
        $this->writeElements($edit, $side, $revision);
        $following = ['draft_mention' => [], 'draft_dialled' => [], 'draft_reference' => []];
        foreach (array_filter($elements) as $id => $element) {
            $following['draft_mention'][$id] = Mentions::by($element);
            $following['draft_dialled'][$id] = array_values(Dialled::by($element));
            $following['draft_reference'][$id] = array_values(array_unique(array_column($element->references(), 'id')));
        }
        foreach (self::FOLLOWING as $table => $column) {
            $this->follow($table, $column, array_keys($elements), $following[$table]);
        }
        $this->database->executeStatement('SET CONSTRAINTS ALL IMMEDIATE');
    }

    /** @param 'before'|'after' $side */
    private function writeElements(int $edit, string $side, int $revision): void
    {
        $this->database->executeStatement(
            "INSERT INTO draft_element (id, kind, name, body, revision) SELECT element_id, $side->>'kind', $side->>'name', $side, ? FROM edit_change WHERE edit_id = ? AND $side IS NOT NULL
            ON CONFLICT (id) DO UPDATE SET kind = EXCLUDED.kind, name = EXCLUDED.name, body = EXCLUDED.body, revision = EXCLUDED.revision",
            [$revision, $edit],
        );
    }

    /** Whether the same follows from an element as from the one before, and it is listed at the same place. */
    public static function followAlike(?Element $before, ?Element $after): bool
    {
        $following = static fn(Element $element): array => [
            $element->kind(),
            $element->name(),
            Mentions::by($element),
            Dialled::by($element),
            array_column($element->references(), 'id'),
        ];

        return null !== $before && null !== $after && $following($before) === $following($after);
    }

    /**
     * @param list<string>                $written ids
     * @param array<string, list<string>> $values  by id
     */
    private function follow(string $table, string $column, array $written, array $values): void
    {
        $this->database->executeStatement("DELETE FROM $table WHERE element_id = ANY(CAST(? AS text[]))", [
            TextArray::of($written),
        ]);
        $ids = [];
        foreach ($values as $id => $ofElement) {
            array_push($ids, ...array_fill(0, \count($ofElement), $id));
        }
        if ([] !== $ids) {
            $this->database->executeStatement(
                "INSERT INTO $table (element_id, $column) SELECT * FROM unnest(CAST(? AS text[]), CAST(? AS text[]))",
                [TextArray::of($ids), TextArray::of(array_merge(...array_values($values)))],
            );
        }
    }
}
