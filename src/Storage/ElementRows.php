<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;

/**
 * The rows of the draft's elements, and of what follows from each: what it mentions, what is dialled to reach it, what it
 * refers to, and what somebody worded in it. Two of them are guarded by the database too: nothing is dialled twice, no
 * reference leads nowhere.
 */
final readonly class ElementRows
{
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
     * @param array<string, Element|null> $elements  the same, by id
     * @param list<Following>             $following what may follow from them otherwise than before
     */
    public function write(int $edit, string $side, array $elements, int $revision, array $following): void
    {
        // Within one edit two extensions may change hands: what must hold is looked at when all of it is written.
        $isGuarded = Following::cases() === $following;
        if ($isGuarded) {
            $this->database->executeStatement('SET CONSTRAINTS ALL DEFERRED');
            $this->database->executeStatement(
                "DELETE FROM draft_element WHERE id IN (SELECT element_id FROM edit_change WHERE edit_id = ? AND $side IS NULL)",
                [$edit],
            );
        }
        $this->writeElements($edit, $side, $revision);
        foreach ($following as $what) {
            $this->follow($what, array_keys($elements), array_map($what->by(...), array_filter($elements)));
        }
        if ($isGuarded) {
            $this->database->executeStatement('SET CONSTRAINTS ALL IMMEDIATE');
        }
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

    /**
     * @param list<string>                $written ids
     * @param array<string, list<string>> $values  by id
     */
    private function follow(Following $what, array $written, array $values): void
    {
        [$table, $column] = [$what->value, $what->column()];
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
