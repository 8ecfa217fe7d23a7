<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\Edit;
use Meandros\Server\Storage\Entity\EditState;
use Symfony\Component\DependencyInjection\Attribute\Lazy;

/** What was done to the draft, with every element before and after. Lists are read without bodies. */
final readonly class ChangeLog
{
    private const LABEL_CHARACTERS = 300;
    /** Elements of an edit that a list names. */
    private const NAMED = 20;
    /** Elements of an edit that are shown with their bodies at once. */
    private const SHOWN = 50;

    public function __construct(
        #[Lazy] private EntityManagerInterface $entities,
        private Connection $database,
        private Now $now,
    ) {}

    /**
     * When elements were changed last, and by whom.
     *
     * @param list<string> $ids
     *
     * @return array<string, array{at: string, who: string}> by id; `at` as RFC 3339
     */
    public function lastOf(array $ids): array
    {
        $last = [];
        /** @var array{element_id: string, at: string, who: string} $row */
        foreach (
            $this->database->iterateAssociative(
                'SELECT DISTINCT ON (c.element_id) c.element_id, to_char(e.made_at AT TIME ZONE \'UTC\', \'YYYY-MM-DD"T"HH24:MI:SS"Z"\') AS at, e.who
                FROM edit_change c JOIN edit e ON e.id = c.edit_id JOIN draft_element d ON d.id = c.element_id AND d.body = c.after
                WHERE c.element_id = ANY(CAST(? AS text[])) ORDER BY c.element_id, c.edit_id DESC',
                [TextArray::of($ids)],
            )
            as $row
        ) {
            $last[$row['element_id']] = ['at' => $row['at'], 'who' => $row['who']];
        }

        return $last;
    }

    /** @return array{EditName|null, EditName|null} what undo would take back, and what redo would do again */
    public function next(): array
    {
        /** @var list<array{string, int, string, string|null, string|null}> $rows */
        $rows = $this->database
            ->fetchAllNumeric("(SELECT state, id, label, name_before, name_after FROM edit WHERE state = 'done' ORDER BY id DESC LIMIT 1)
            UNION ALL (SELECT state, id, label, name_before, name_after FROM edit WHERE state = 'undone' ORDER BY id LIMIT 1)");
        $next = ['done' => null, 'undone' => null];
        foreach ($rows as $row) {
            $next[$row[0]] = new EditName($row[1], $row[2], $row[3], $row[4]);
        }

        return [$next['done'], $next['undone']];
    }

    /**
     * @param int|null $before  an edit's id: those before it
     * @param string   $element its id: only edits that changed it; empty: all
     *
     * @return list<array{edit: Edit, changed: int, elements: list<string>}> the latest first; the first few ids of what each changed
     */
    public function page(int $most, ?int $before, string $element = ''): array
    {
        $query = $this->entities
            ->createQueryBuilder()
            ->select('e')
            ->from(Edit::class, 'e')
            ->orderBy('e.id', 'DESC')
            ->setMaxResults($most);
        if (null !== $before) {
            $query->andWhere('e.id < :before')->setParameter('before', $before);
        }
        if ('' !== $element) {
            $query
                ->andWhere('e.id IN (:edits)')
                ->setParameter(
                    'edits',
                    $this->database->fetchFirstColumn(
                        'SELECT edit_id FROM edit_change WHERE element_id = ? AND edit_id < ? ORDER BY edit_id DESC LIMIT ?',
                        [$element, $before ?? \PHP_INT_MAX, $most],
                    ),
                );
        }
        /** @var list<Edit> $edits */
        $edits = $query->getQuery()->getResult();
        $changed = [];
        /** @var array{edit_id: int, changed: int, elements: string} $row */
        foreach (
            $this->database->iterateAssociative(
                \sprintf(
                    'SELECT edit_id, count(*) AS changed, to_json((array_agg(element_id ORDER BY id))[1:%d]) AS elements FROM edit_change WHERE edit_id IN (?) GROUP BY edit_id',
                    self::NAMED,
                ),
                [array_column($edits, 'id')],
                [ArrayParameterType::INTEGER],
            )
            as $row
        ) {
            /** @var list<string> $elements */
            $elements = json_decode($row['elements'], true, 3, \JSON_THROW_ON_ERROR);
            $changed[$row['edit_id']] = [$row['changed'], $elements];
        }

        return array_map(static function (Edit $edit) use ($changed): array {
            [$count, $elements] = $changed[$edit->id] ?? [0, []];

            return ['edit' => $edit, 'changed' => $count, 'elements' => $elements];
        }, $edits);
    }

    /**
     * @param string|null $after an element's id: those that come after it
     *
     * @return list<array{id: string, before: mixed, after: mixed}> what an edit did, by the elements' ids, so many at once
     */
    public function changes(int $edit, ?string $after): array
    {
        /** @var list<array{id: string, before: string|null, after: string|null}> $rows */
        $rows = $this->database->fetchAllAssociative(
            'SELECT element_id AS id, before, after FROM edit_change WHERE edit_id = ? AND element_id > ? ORDER BY element_id LIMIT ?',
            [$edit, $after ?? '', self::SHOWN],
        );

        return array_map(
            static fn(array $row): array => [
                'id' => $row['id'],
                'before' =>
                    null === $row['before'] ? null : json_decode($row['before'], true, 128, \JSON_THROW_ON_ERROR),
                'after' => null === $row['after'] ? null : json_decode($row['after'], true, 128, \JSON_THROW_ON_ERROR),
            ],
            $rows,
        );
    }

    /**
     * @param 'before'|'after' $side
     *
     * @return array<string, Element|null> by id
     */
    public function elements(int $edit, string $side): array
    {
        $elements = [];
        /** @var array{string, string|null} $row */
        foreach (
            $this->database->iterateNumeric("SELECT element_id, $side FROM edit_change WHERE edit_id = ? ORDER BY id", [
                $edit,
            ])
            as $row
        ) {
            $elements[$row[0]] = null === $row[1] ? null : PlanCodec::storedElement($row[1]);
        }

        return $elements;
    }

    /**
     * Logs an edit; called before its elements are written. Whatever was undone is given up by it.
     *
     * @param array<string, string|null> $rows       the elements as they are to be, encoded by ElementRows
     * @param string|null                $nameBefore the plan's name, where the edit changes it
     *
     * @return EditName|null null where nothing changes
     */
    public function record(PlannedEdit $planned, array $rows, EditState $state, ?string $nameBefore): ?EditName
    {
        if ([] === $planned->elements && null === $nameBefore) {
            $this->database->executeStatement("UPDATE edit SET state = 'dropped' WHERE state = 'undone'");

            return null;
        }
        $label = mb_substr($planned->label, 0, self::LABEL_CHARACTERS);
        $nameAfter = null === $nameBefore ? null : $planned->name;
        $edit = $this->database->fetchOne(
            "WITH dropped AS (UPDATE edit SET state = 'dropped' WHERE state = 'undone'), this AS (
                INSERT INTO edit (label, who, made_at, state, name_before, name_after) VALUES (?, ?, ?, ?, ?, ?) RETURNING id
            ), changes AS (
                INSERT INTO edit_change (edit_id, element_id, before, after) SELECT this.id, r.id, e.body, CAST(r.body AS jsonb)
                FROM this, unnest(CAST(? AS text[]), CAST(? AS text[])) AS r (id, body) LEFT JOIN draft_element e ON e.id = r.id
            ) SELECT id FROM this",
            [
                $label,
                'demo',
                $this->now->moment()->format(\DATE_RFC3339),
                $state->value,
                $nameBefore,
                $nameAfter,
                TextArray::of(array_keys($rows)),
                TextArray::of($rows),
            ],
        );
        \assert(is_numeric($edit));

        return new EditName((int) $edit, $label, $nameBefore, $nameAfter);
    }

    public function mark(int $edit, EditState $state): void
    {
        $this->database->executeStatement('UPDATE edit SET state = ? WHERE id = ?', [$state->value, $edit]);
    }

    /** The latest body of an element, of those that were written, that can be read; null where there is none. */
    public function lastReadable(string $id): ?Element
    {
        /** @var string $body */
        foreach (
            $this->database->iterateColumn(
                'SELECT body FROM (SELECT id, after AS body, 1 AS side FROM edit_change WHERE element_id = ? UNION ALL SELECT id, before, 0 FROM edit_change WHERE element_id = ?) AS states WHERE body IS NOT NULL ORDER BY id DESC, side DESC LIMIT 20',
                [$id, $id],
            )
            as $body
        ) {
            try {
                return PlanCodec::storedElement($body);
            } catch (\InvalidArgumentException) {
                // An older one may do.
            }
        }

        return null;
    }
}
