<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\ElementSource;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Mark;

/**
 * The elements of the draft at one revision of it, fetched as they are wanted. Processes share what they read; it is taken
 * while nothing wrote it since. Where much is missing, what was wanted lately is fetched at once.
 */
final class DraftSource implements ElementSource
{
    /** Of what was wanted lately, so many are fetched together. */
    private const MOST_LATELY = 400;
    /** So many are fetched one by one. */
    private const FEW = 2;
    /** Whoever asks for more mentions than these that nobody put by asks for many more. */
    private const MOST_MENTIONS = 24;
    /** Where edits wrote more elements than these, what was looked at before is looked at again. */
    private const MOST_WRITTEN = 500;
    /** Of an edit that wrote no more than these, all are put by: they are looked at next. */
    private const MOST_PUT_BY = 8;

    /** @var array<string, array{kind: Kind|null, json: string|null, revision: int|null, element: Element|null}> by id */
    private array $entries = [];
    /** @var array<string, array{Kind|null, int|null}> kind and revision of those of which no more was wanted, by id */
    private array $heads = [];
    /** @var array<string, true> read from the database, and not yet put by for other processes; by id */
    private array $unshared = [];
    /** @var array<string, list<string>> by text */
    private array $mentions = [];
    /** @var array<string, list<string>> by kind */
    private array $ids = [];
    /** @var array<string, array<string, string>> by kind and id */
    private array $names = [];
    /** @var array{int, int, array<string, int>, int}|null of moved(); asked for when it is first wanted */
    private ?array $moves = null;
    /** How often something was missing that other processes had not put by. */
    private int $missed = 0;
    private bool $wasAskedLately = false;
    /** Whether all of it was read: that is too much to share. */
    private bool $isWhole = false;
    private bool $areAllMentions = false;
    private int $mentionsMissed = 0;

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
     * Says what an edit changed, so that what was looked at before it goes on being of use. Whoever writes has the draft for
     * himself; an edit that is taken back after this has done no harm.
     *
     * @param array<string, Element|null> $elements that it wrote, by id; null for those that are gone
     * @param bool                        $lists    whether lists and mentions may be others now
     * @param array<string, string|null>  $rows     what is stored of them, where it is known: few are put by for whoever looks next
     */
    public static function moved(
        SharedMemory $memory,
        string $name,
        int $before,
        int $revision,
        array $elements,
        bool $lists,
        array $rows,
    ): void {
        [$since, $last, $written, $listed] = self::moves($memory, $name);
        $written = array_fill_keys(array_keys($elements), $revision) + $written;
        // Somebody wrote who does not share this memory, an edit was taken back, or it would be too much to know.
        if ($last !== $before || \count($written) > self::MOST_WRITTEN) {
            [$since, $written] = [$revision, []];
        }
        $memory->keep($name . '.moves', [$since, $revision, $written, $lists ? $revision : $listed]);
        foreach (\count($rows) > self::MOST_PUT_BY ? [] : $rows as $id => $json) {
            // As it is stored: what the writer has may have other orders.
            self::putBy($memory, $name, $revision, (string) $id, [
                'kind' => ($elements[$id] ?? null)?->kind(),
                'json' => $json,
                'revision' => null === $json ? null : $revision,
                'element' => null,
            ]);
        }
    }

    public function find(string $id): ?Element
    {
        $entry = $this->entry($id);
        if (null === $entry['element'] && null !== $entry['json'] && null !== $entry['kind']) {
            $this->entries[$id]['element'] = $entry['element'] = PlanCodec::storedElement($entry['json']);
            $this->share($id);
        }

        return $entry['element'];
    }

    public function kindOf(string $id): ?Kind
    {
        return $this->head($id)[0];
    }

    /** @return int|null null where there is no such element */
    public function revisionOf(string $id): ?int
    {
        return $this->head($id)[1];
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

    public function names(Kind $kind): array
    {
        /** @var array<string, string>|null $names */
        $names = $this->names[$kind->value] ?? $this->kept('n.' . $kind->value);
        if (null === $names) {
            $names = $this->readNames($kind);
            $this->keep('n.' . $kind->value, $names);
        }

        return $this->names[$kind->value] = $names;
    }

    public function foresee(array $texts): void
    {
        $missing = [];
        foreach ($this->areAllMentions ? [] : $texts as $text) {
            if (!isset($this->mentions[$text])) {
                /** @var list<string>|null $kept */
                $kept = $this->kept('m.' . $text);
                null === $kept ? ($missing[] = $text) : ($this->mentions[$text] = $kept);
            }
        }
        // Many are known where all are: they are not copied for nothing.
        [] === $missing || ($this->mentions += $this->readMentions($missing));
    }

    public function foreseeAll(): void
    {
        $this->ids();
    }

    public function mentioning(string $text): array
    {
        if (isset($this->mentions[$text]) || $this->areAllMentions) {
            return $this->mentions[$text] ?? [];
        }
        /** @var list<string>|null $kept */
        $kept = $this->isWhole ? null : $this->kept('m.' . $text);
        if (null !== $kept) {
            return $this->mentions[$text] = $kept;
        }
        if ($this->isWhole || ++$this->mentionsMissed > self::MOST_MENTIONS) {
            $this->readAllMentions();

            return $this->mentions[$text] ?? [];
        }
        $this->askLately();

        return $this->mentions[$text] ??= $this->readMentions([$text])[$text];
    }

    public function shelf(array $ids, string $more): SharedBlocks
    {
        $revisions = array_map(fn(string $id): string => $id . ' ' . $this->revisionOf($id), $ids);

        return new SharedBlocks(
            $this->memory,
            $this->name . '.b.' . hash('xxh128', implode("\n", [...$revisions, $more])),
        );
    }

    public function fingerprint(): string
    {
        /** @var array{int, string} $row */
        $row = $this->database->fetchNumeric(\sprintf('SELECT revision, (%s) FROM draft', Shares::fingerprint(null)));
        $this->demand($row[0]);

        return $row[1];
    }

    public function mark(): Mark
    {
        return new Mark($this->name, $this->revision);
    }

    public function changedSince(Mark $mark): ?array
    {
        if ($mark->of !== $this->name || $mark->at > $this->revision) {
            return null;
        }
        $rows = $this->database->executeQuery(
            'SELECT draft.revision, e.id FROM draft LEFT JOIN draft_element e ON e.revision > ?',
            [$mark->at],
        );
        $ids = [];
        /** @var array{int, string|null} $row */
        foreach ($rows->iterateNumeric() as $row) {
            $this->demand($row[0]);
            null === $row[1] || ($ids[] = $row[1]);
        }

        return $ids;
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

    /** @return array{Kind|null, int|null} kind and revision: for that, an element is not unpacked */
    private function head(string $id): array
    {
        if (!isset($this->entries[$id]) && !isset($this->heads[$id])) {
            /** @var array{Kind|null, int|null}|null $kept */
            $kept = $this->kept('h.' . $id, $id);
            $kept ??= [$this->entry($id)['kind'], $this->entry($id)['revision']];
            $this->heads[$id] = $kept;
        }

        return $this->heads[$id] ?? [$this->entries[$id]['kind'], $this->entries[$id]['revision']];
    }

    /** @return array{kind: Kind|null, json: string|null, revision: int|null, element: Element|null} */
    private function entry(string $id): array
    {
        if (!isset($this->entries[$id])) {
            /** @var array{Kind|null, int|null, Element|null, string|null}|null $kept */
            $kept = $this->kept('e.' . $id, $id);
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
        if (isset($this->unshared[$id])) {
            unset($this->unshared[$id]);
            $this->entries[$id]['element'] = $this->asBefore($id, $this->entries[$id]['revision']);
            $this->share($id);
        }

        return $this->entries[$id];
    }

    /** Also where there is none, or where nobody wants more than its kind. */
    private function share(string $id): void
    {
        if ($this->isWhole) {
            return;
        }
        self::putBy($this->memory, $this->name, $this->revision, $id, $this->entries[$id]);
    }

    /** @param array{kind: Kind|null, json: string|null, revision: int|null, element: Element|null} $entry */
    private static function putBy(SharedMemory $memory, string $name, int $revision, string $id, array $entry): void
    {
        ['kind' => $kind, 'revision' => $written, 'element' => $element] = $entry;
        $memory->keep($name . '.h.' . $id, [$revision, [$kind, $written]]);
        $json = null === $element ? $entry['json'] : null;
        $memory->keep($name . '.e.' . $id, [$revision, [$kind, $written, $element, $json]]);
    }

    /** The element as it was read at an earlier revision of the draft, where it was not written since. */
    private function asBefore(string $id, ?int $revision): ?Element
    {
        /** @var array{int, array{Kind|null, int|null, Element|null, string|null}}|null $kept */
        $kept = $this->memory->get($this->name . '.e.' . $id);

        return null !== $kept && null !== $revision && $kept[1][1] === $revision ? $kept[1][2] : null;
    }

    /** After an edit, what it wrote is missing; where more is, whatever was wanted lately is fetched too. */
    private function askLately(): void
    {
        if (++$this->missed <= self::FEW || $this->wasAskedLately) {
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

    /** @return array<string, string> by id */
    private function readNames(Kind $kind): array
    {
        $names = [];
        $rows = $this->database->executeQuery(
            'SELECT draft.revision, e.id, e.name FROM draft JOIN draft_element e ON e.kind = ? ORDER BY e.name, e.id',
            [$kind->value],
        );
        /** @var array{int, string, string} $row */
        foreach ($rows->iterateNumeric() as $row) {
            $this->demand($row[0]);
            $names[$row[1]] = $row[2];
        }

        return $names;
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

    private function readAllMentions(): void
    {
        // Put in order here: of a draft that was just brought in, the database does not know yet how to join so many.
        $rows = $this->database->executeQuery(
            'SELECT draft.revision, e.id, NULL AS mention FROM draft, (SELECT id FROM draft_element ORDER BY kind, name, id) AS e UNION ALL SELECT draft.revision, element_id, mention FROM draft, draft_mention',
        );
        $byElement = $mentions = [];
        /** @var array{int, string, string|null} $row */
        foreach ($rows->iterateNumeric() as $row) {
            $this->demand($row[0]);
            $byElement[$row[1]] ??= [];
            null === $row[2] || ($byElement[$row[1]][] = $row[2]);
        }
        foreach ($byElement as $id => $texts) {
            foreach ($texts as $text) {
                $mentions[$text][] = (string) $id;
            }
        }
        [$this->mentions, $this->areAllMentions] = [$mentions, true];
    }

    /** @param array<mixed> $row the draft's revision, id, kind, body and revision */
    private function take(array $row): string
    {
        /** @var array{int, string, string|null, string|null, int|null} $row */
        $this->demand($row[0]);
        if (!isset($this->entries[$row[1]])) {
            $this->entries[$row[1]] = [
                'kind' => null === $row[2] ? null : Kind::tryFrom($row[2]),
                'json' => $row[3],
                'revision' => $row[4],
                'element' => null,
            ];
            $this->unshared[$row[1]] = true;
        }

        return $row[1];
    }

    /** @throws DraftMoved when what is read now is of another revision */
    private function demand(int $revision): void
    {
        if ($revision !== $this->revision) {
            throw new DraftMoved();
        }
    }

    /** @param string|null $id of the element that it is of; null for lists and mentions */
    private function kept(string $key, ?string $id = null): mixed
    {
        /** @var array{int, mixed}|null $kept */
        $kept = $this->memory->get($this->name . '.' . $key);

        return null !== $kept && $this->isAsAt($kept[0], $id) ? $kept[1] : null;
    }

    /**
     * Whether an element, or else the lists and mentions, are what they were at an earlier revision.
     *
     * @param string|null $id null for lists and mentions
     */
    private function isAsAt(int $revision, ?string $id): bool
    {
        if ($revision === $this->revision) {
            return true;
        }
        [$since, $until, $written, $listed] = $this->moves ??= self::moves($this->memory, $this->name);

        return $since <= $revision &&
            $revision < $this->revision &&
            $this->revision <= $until &&
            (null === $id ? $listed : $written[$id] ?? 0) <= $revision;
    }

    /** @return array{int, int, array<string, int>, int} from which revision to which it is known what was written; at which one each element was written last, and lists were */
    private static function moves(SharedMemory $memory, string $name): array
    {
        /** @var array{int, int, array<string, int>, int}|null $moves */
        $moves = $memory->get($name . '.moves');

        return $moves ?? [0, 0, [], 0];
    }

    private function keep(string $key, mixed $value): void
    {
        $this->memory->keep($this->name . '.' . $key, [$this->revision, $value]);
    }
}
