<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\ElementSource;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;

/**
 * The elements of the draft at one revision of it, fetched as they are wanted. Processes share what they read; it is taken
 * while the draft's revision is the one at which it was looked at. After an edit, what was wanted lately is fetched at once.
 */
final class DraftSource implements ElementSource
{
    /** Of what was wanted lately, so many are fetched together. */
    private const MOST_LATELY = 400;
    /** What was looked at so many edits ago is looked at again. */
    private const MOST_STEPS = 40;

    /** @var array<string, array{kind: Kind|null, json: string|null, revision: int|null, element: Element|null}> by id */
    private array $entries = [];
    /** @var array<string, list<string>> by text */
    private array $mentions = [];
    /** @var array<string, list<string>> by kind */
    private array $ids = [];
    /** @var array<int, mixed> what the edits that led to a revision changed */
    private array $steps = [];
    private bool $wasAskedLately = false;
    /** Whether all of it was read: that is too much to share. */
    private bool $isWhole = false;

    /** @param string $name of the database's draft in shared memory */
    public function __construct(
        private readonly Connection $database,
        private readonly SharedMemory $memory,
        public readonly string $name,
        public readonly int $revision,
    ) {}

    /** Of the draft in shared memory: another database has another one. */
    public static function name(string $incarnation): string
    {
        return 'draft.' . $incarnation;
    }

    /**
     * Says what an edit changed, so that what was looked at before it goes on being of use.
     *
     * @param list<string> $ids   of the elements that it wrote
     * @param bool         $lists whether lists and mentions may be others now
     */
    public static function moved(
        SharedMemory $memory,
        string $name,
        int $before,
        int $revision,
        array $ids,
        bool $lists,
    ): void {
        $memory->keep($name . '.step.' . $revision, [$before, array_fill_keys($ids, true), $lists]);
    }

    public function find(string $id): ?Element
    {
        $entry = $this->entry($id);
        if (null === $entry['element'] && null !== $entry['json'] && null !== $entry['kind']) {
            $this->entries[$id]['element'] = $entry['element'] =
                $this->asBefore($id, $entry['revision']) ?? PlanCodec::storedElement($entry['json']);
            $this->isWhole || $this->keep('e.' . $id, [$entry['kind'], $entry['revision'], $entry['element'], null]);
        }

        return $entry['element'];
    }

    public function kindOf(string $id): ?Kind
    {
        return $this->entry($id)['kind'];
    }

    /** @return int|null null where there is no such element */
    public function revisionOf(string $id): ?int
    {
        return $this->entry($id)['revision'];
    }

    public function ids(?Kind $kind = null): array
    {
        $key = $kind->value ?? '';
        if (!isset($this->ids[$key])) {
            /** @var list<string>|null $kept */
            $kept = null === $kind ? null : $this->kept('k.' . $key);
            $this->ids[$key] = $kept ?? $this->readKind($kind);
        }

        return $this->ids[$key];
    }

    public function mentioning(string $text): array
    {
        if (!isset($this->mentions[$text])) {
            /** @var list<string>|null $kept */
            $kept = $this->kept('m.' . $text);
            if (null === $kept) {
                $this->askLately();
            }
            $this->mentions[$text] ??= $kept ?? $this->readMentions([$text])[$text];
        }

        return $this->mentions[$text];
    }

    public function shelf(array $ids, string $more): SharedBlocks
    {
        $revisions = array_map(fn(string $id): string => $id . ' ' . $this->revisionOf($id), $ids);

        return new SharedBlocks(
            $this->memory,
            $this->name . '.b.' . hash('xxh128', implode("\n", [...$revisions, $more])),
        );
    }

    /** What was wanted this time is what will be wanted after the next edit. */
    public function __destruct()
    {
        if ($this->wasAskedLately) {
            $this->memory->keep($this->name . '.lately', [
                \array_slice(array_keys($this->entries), 0, self::MOST_LATELY),
                \array_slice(array_map(strval(...), array_keys($this->mentions)), 0, self::MOST_LATELY),
            ]);
        }
    }

    /** @return array{kind: Kind|null, json: string|null, revision: int|null, element: Element|null} */
    private function entry(string $id): array
    {
        if (!isset($this->entries[$id])) {
            /** @var array{Kind|null, int|null, Element|null, string|null}|null $kept */
            $kept = $this->kept('e.' . $id);
            if (null !== $kept) {
                return $this->entries[$id] = [
                    'kind' => $kept[0],
                    'json' => $kept[3],
                    'revision' => $kept[1],
                    'element' => $kept[2],
                ];
            }
            $this->askLately();
        }
        if (!isset($this->entries[$id])) {
            $this->readElements([$id]);
        }
        // Also where there is none, or where nobody wants more than its kind.
        $entry = $this->entries[$id];
        $this->keep('e.' . $id, [
            $entry['kind'],
            $entry['revision'],
            $this->asBefore($id, $entry['revision']),
            $entry['json'],
        ]);

        return $entry;
    }

    /** The element as it was read at an earlier revision of the draft, where it was not written since. */
    private function asBefore(string $id, ?int $revision): ?Element
    {
        /** @var array{int, array{Kind|null, int|null, Element|null, string|null}}|null $kept */
        $kept = $this->memory->get($this->name . '.e.' . $id);

        return null !== $kept && null !== $revision && $kept[1][1] === $revision ? $kept[1][2] : null;
    }

    /** The first time that something is missing, whatever was wanted lately is fetched too. */
    private function askLately(): void
    {
        if ($this->wasAskedLately) {
            return;
        }
        $this->wasAskedLately = true;
        /** @var array{list<string>, list<string>}|null $lately */
        $lately = $this->memory->get($this->name . '.lately');
        if (null !== $lately) {
            $this->readElements(
                array_values(array_filter($lately[0], fn(string $id): bool => !isset($this->entries[$id]))),
            );
            $this->mentions += $this->readMentions(
                array_values(array_filter($lately[1], fn(string $text): bool => !isset($this->mentions[$text]))),
            );
        }
    }

    /** @param list<string> $ids */
    private function readElements(array $ids): void
    {
        if ([] === $ids) {
            return;
        }
        $rows = $this->database->executeQuery(
            'SELECT (SELECT revision FROM draft), wanted.id, e.kind, e.body, e.revision FROM unnest(CAST(? AS text[])) AS wanted (id) LEFT JOIN draft_element e ON e.id = wanted.id',
            [TextArray::of($ids)],
        );
        foreach ($rows->iterateNumeric() as $row) {
            $this->take($row);
        }
    }

    /** @return list<string> ids */
    private function readKind(?Kind $kind): array
    {
        $ids = [];
        $this->isWhole = $this->isWhole || null === $kind;
        $rows =
            null === $kind
                ? $this->database->executeQuery(
                    'SELECT draft.revision, e.id, e.kind, e.body, e.revision FROM draft JOIN draft_element e ON true ORDER BY e.kind, e.name, e.id',
                )
                : $this->database->executeQuery(
                    'SELECT draft.revision, e.id, e.kind, e.body, e.revision FROM draft JOIN draft_element e ON e.kind = ? ORDER BY e.name, e.id',
                    [$kind->value],
                );
        foreach ($rows->iterateNumeric() as $row) {
            $ids[] = $this->take($row);
        }
        null === $kind || $this->keep('k.' . $kind->value, $ids);

        return $ids;
    }

    /**
     * @param list<string> $texts
     *
     * @return array<string, list<string>> ids by text
     */
    private function readMentions(array $texts): array
    {
        $mentions = array_fill_keys($texts, []);
        if ([] === $texts) {
            return [];
        }
        $rows = $this->database->executeQuery(
            'SELECT (SELECT revision FROM draft), wanted.text, e.id FROM unnest(CAST(? AS text[])) AS wanted (text) LEFT JOIN (draft_mention m JOIN draft_element e ON e.id = m.element_id) ON m.mention = wanted.text ORDER BY e.kind, e.name, e.id',
            [TextArray::of($texts)],
        );
        /** @var array{int, string, string|null} $row */
        foreach ($rows->iterateNumeric() as $row) {
            $this->demand($row[0]);
            if (null !== $row[2]) {
                $mentions[$row[1]][] = $row[2];
            }
        }
        foreach ($mentions as $text => $ids) {
            $this->keep('m.' . $text, $ids);
        }

        return $mentions;
    }

    /** @param array<mixed> $row the draft's revision, id, kind, body and revision */
    private function take(array $row): string
    {
        /** @var array{int, string, string|null, string|null, int|null} $row */
        $this->demand($row[0]);
        $this->entries[$row[1]] ??= [
            'kind' => null === $row[2] ? null : Kind::tryFrom($row[2]),
            'json' => $row[3],
            'revision' => $row[4],
            'element' => null,
        ];

        return $row[1];
    }

    /** @throws DraftMoved when what is read now is of another revision */
    private function demand(int $revision): void
    {
        if ($revision !== $this->revision) {
            throw new DraftMoved();
        }
    }

    private function kept(string $key): mixed
    {
        /** @var array{int, mixed}|null $kept */
        $kept = $this->memory->get($this->name . '.' . $key);

        return null !== $kept && $this->isAsAt($kept[0], str_starts_with($key, 'e.') ? substr($key, 2) : null)
            ? $kept[1]
            : null;
    }

    /**
     * Whether an element, or else the lists and mentions, are what they were at an earlier revision.
     *
     * @param string|null $id null for lists and mentions
     */
    private function isAsAt(int $revision, ?string $id): bool
    {
        for ($at = $this->revision, $steps = 0; $at !== $revision; ++$steps) {
            /** @var array{int, array<string, true>, bool}|null $step */
            $step = $this->steps[$at] ??= $this->memory->get($this->name . '.step.' . $at);
            if (null === $step || $steps >= self::MOST_STEPS || (null === $id ? $step[2] : isset($step[1][$id]))) {
                return false;
            }
            $at = $step[0];
        }

        return true;
    }

    private function keep(string $key, mixed $value): void
    {
        $this->memory->keep($this->name . '.' . $key, [$this->revision, $value]);
    }
}
