<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;

/** What differs between the draft and another plan: found by the hashes of elements, which the database keeps; neither plan is read. */
final readonly class Difference
{
    /** So many elements are named of those of one kind that are added, changed or removed; those first of which somebody said why. */
    private const MOST = 20;

    public function __construct(private Connection $database) {}

    /**
     * What the draft would change.
     *
     * @param int $edition 0: nothing at all
     */
    public function fromEdition(int $edition): Differing
    {
        $inShares = Shares::differing(null, $edition);

        return $this->read(
            "SELECT * FROM draft_element WHERE $inShares",
            "SELECT id, kind, name, hash, why FROM edition_element WHERE number = $edition AND $inShares",
            [],
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
        $inShares = Shares::differing($before, $after);
        $rows = static fn(?int $edition): string => null === $edition
            ? "SELECT id, hash FROM draft_element WHERE $inShares"
            : "SELECT id, hash FROM edition_element WHERE number = $edition AND $inShares";

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
     * What a plan would change in the draft.
     *
     * @param array<string, string|null> $rows encoded elements by id
     */
    public function toPlan(array $rows): Differing
    {
        return $this->read(
            'SELECT * FROM draft_element',
            "SELECT r.id, b.body->>'kind' AS kind, b.body->>'name' AS name, CAST(md5(CAST(b.body AS text)) AS uuid) AS hash
            FROM unnest(CAST(? AS text[]), CAST(? AS text[])) AS r (id, json), CAST(r.json AS jsonb) AS b (body)",
            [TextArray::of(array_keys($rows)), TextArray::of($rows)],
            'removed',
            'added',
            "e.body->>'why'",
        );
    }

    /**
     * @param string            $draft   a query for those elements of the draft that may differ
     * @param string            $other   one for id, kind, name and hash of those of the other plan
     * @param list<mixed>       $values  of its parameters
     * @param 'added'|'removed' $inDraft what an element is that only the draft has
     * @param 'added'|'removed' $inOther or only the other
     * @param string            $why     elements were as they were before
     */
    private function read(
        string $draft,
        string $other,
        array $values,
        string $inDraft,
        string $inOther,
        string $why,
    ): Differing {
        /** @var non-empty-list<array{revision: int, id: string|null, kind: string, name: string, what: string, why: string|null, place: int, alike: int}> $rows */
        $rows = $this->database->fetchAllAssociative(
            "SELECT draft.revision, p.* FROM draft LEFT JOIN (
            SELECT d.*, row_number() OVER (alike ORDER BY why IS NULL, name, id) AS place, count(*) OVER alike AS alike FROM (
                SELECT coalesce(e.id, o.id) AS id, coalesce(e.kind, o.kind) AS kind, coalesce(e.name, o.name) AS name,
                    CASE WHEN o.id IS NULL THEN '$inDraft' WHEN e.id IS NULL THEN '$inOther' ELSE 'changed' END AS what, $why AS why
                FROM ($draft) AS e FULL JOIN ($other) AS o ON o.id = e.id WHERE e.hash IS DISTINCT FROM o.hash
            ) AS d WINDOW alike AS (PARTITION BY kind, what)
            ) AS p ON p.place <= ? ORDER BY p.kind, p.name, p.id",
            [...$values, self::MOST],
        );
        $counts = $pending = [];
        foreach ($rows as $row) {
            if (null === $row['id']) {
                continue;
            }
            if (1 === $row['place']) {
                $counts[] = new DifferingCount($row['kind'], $row['what'], $row['alike']);
            }
            $pending[] = new DifferingElement($row['id'], $row['kind'], $row['name'], $row['what'], $row['why']);
        }

        return new Differing($rows[0]['revision'], $counts, $pending);
    }
}
