<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;

/** What differs between the draft and another plan: found by the hashes of elements, which the database keeps; neither plan is read. */
final readonly class Difference
{
    /** Elements that are named. */
    private const MOST = 200;

    public function __construct(private Connection $database) {}

    /**
     * @param int $edition 0: nothing at all
     *
     * @return array{revision: int, count: int, pending: list<array{id: string, kind: string, name: string, what: string, why: string|null}>} what the draft would change
     */
    public function fromEdition(int $edition): array
    {
        return $this->read(
            'SELECT id, kind, name, hash, why FROM edition_element WHERE number = ?',
            [$edition],
            'added',
            'removed',
            'o.why',
        );
    }

    /**
     * @param int|null $before an edition; null for the draft
     * @param int|null $after  the same
     *
     * @return list<string> elements that differ, by id
     */
    public function ids(?int $before, ?int $after): array
    {
        $rows = static fn(?int $edition): string => null === $edition
            ? 'SELECT id, hash FROM draft_element'
            : "SELECT id, hash FROM edition_element WHERE number = $edition";

        return array_map(
            static fn(mixed $id): string => \is_string($id) ? $id : '',
            $this->database->fetchFirstColumn(
                "SELECT coalesce(a.id, b.id) FROM ({$rows($before)}) AS a FULL JOIN ({$rows(
                    $after,
                )}) AS b ON a.id = b.id WHERE a.hash IS DISTINCT FROM b.hash ORDER BY 1",
            ),
        );
    }

    /**
     * @param array<string, string|null> $rows encoded elements by id
     *
     * @return array{revision: int, count: int, pending: list<array{id: string, kind: string, name: string, what: string, why: string|null}>} what they would change in the draft
     */
    public function toPlan(array $rows): array
    {
        return $this->read(
            "SELECT r.id, b.body->>'kind' AS kind, b.body->>'name' AS name, CAST(md5(CAST(b.body AS text)) AS uuid) AS hash
            FROM unnest(CAST(? AS text[]), CAST(? AS text[])) AS r (id, json), CAST(r.json AS jsonb) AS b (body)",
            [TextArray::of(array_keys($rows)), TextArray::of($rows)],
            'removed',
            'added',
            "e.body->>'why'",
        );
    }

    /**
     * @param string            $other   a query for id, kind, name and hash
     * @param list<mixed>       $values  of its parameters
     * @param 'added'|'removed' $inDraft what an element is that only the draft has
     * @param 'added'|'removed' $inOther or only the other
     * @param string            $why     elements were as they were before
     *
     * @return array{revision: int, count: int, pending: list<array{id: string, kind: string, name: string, what: string, why: string|null}>}
     */
    private function read(string $other, array $values, string $inDraft, string $inOther, string $why): array
    {
        /** @var non-empty-list<array{revision: int, count: int, id: string|null, kind: string, name: string, what: string, why: string|null}> $rows */
        $rows = $this->database->fetchAllAssociative(
            "SELECT draft.revision, count(p.id) OVER () AS count, p.* FROM draft LEFT JOIN (
            SELECT coalesce(e.id, o.id) AS id, coalesce(e.kind, o.kind) AS kind, coalesce(e.name, o.name) AS name,
                CASE WHEN o.id IS NULL THEN '$inDraft' WHEN e.id IS NULL THEN '$inOther' ELSE 'changed' END AS what, $why AS why
            FROM draft_element e FULL JOIN ($other) AS o ON o.id = e.id WHERE e.hash IS DISTINCT FROM o.hash
            ) AS p ON true ORDER BY p.kind, p.name, p.id LIMIT ?",
            [...$values, self::MOST],
        );
        $pending = [];
        foreach ($rows as $row) {
            if (null !== $row['id']) {
                $pending[] = [
                    'id' => $row['id'],
                    'kind' => $row['kind'],
                    'name' => $row['name'],
                    'what' => $row['what'],
                    'why' => $row['why'],
                ];
            }
        }

        return ['revision' => $rows[0]['revision'], 'count' => $rows[0]['count'], 'pending' => $pending];
    }
}
