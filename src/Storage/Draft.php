<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Orphans;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Server\Storage\Entity\EditState;

/** The plan being edited. Every write is checked against the whole plan, logged, and can be undone. */
final readonly class Draft
{
    /** So often an edit is worked out beside other writers; then they wait for it. */
    private const TRIES = 3;

    public function __construct(
        private Connection $database,
        private ElementRows $rows,
        private ChangeLog $log,
        private SharedMemory $memory,
    ) {}

    public function plan(): Plan
    {
        return $this->read()->plan;
    }

    /** The draft as it is now. What is fetched of it later is of the same moment, or DraftMoved is thrown. */
    public function read(): DraftReading
    {
        /** @var array{string, int, string, string} $row */
        $row = $this->database->fetchNumeric(
            'SELECT draft.name, draft.revision, draft.incarnation, live_state.revision FROM draft, live_state',
        );
        $source = new DraftSource($this->database, $this->memory, DraftSource::name($row[2]), $row[1]);

        return new DraftReading(Plan::from($row[0], $source), $row[1], $row[3], $source);
    }

    /**
     * What is stored and cannot be read, with the last state of it that can.
     *
     * @return list<UnreadableElement>
     */
    public function unreadable(DraftReading $draft): array
    {
        $reasons = $draft->plan->unreadable();
        $unreadable = [];
        foreach ($draft->revisions() as $id => $revision) {
            if (isset($reasons[$id]) || null === $draft->plan->kindOf($id)) {
                $name = $this->database->fetchOne('SELECT name FROM draft_element WHERE id = ?', [$id]);
                $unreadable[] = new UnreadableElement(
                    $id,
                    \is_string($name) ? $name : $id,
                    $revision,
                    isset($reasons[$id]) ? $reasons[$id]->problems : [],
                    $this->log->lastReadable($id),
                );
            }
        }

        return $unreadable;
    }

    /**
     * @throws InvalidData   when the element does not fit the plan
     * @throws AlreadyExists
     */
    public function add(Element $element): Change
    {
        return $this->write(static function (DraftReading $draft) use ($element): PlannedEdit {
            if (null !== $draft->revisionOf($element->id())) {
                throw new AlreadyExists($element->id());
            }
            self::check($draft->plan, $element);

            return PlannedEdit::of(\sprintf('Add %s', $element->name()), [$element]);
        });
    }

    /**
     * @throws InvalidData   when the element does not fit the plan
     * @throws NotFound
     * @throws StaleRevision when it was changed by somebody else meanwhile
     */
    public function replace(Element $element, int $revision): Change
    {
        return $this->write(static function (DraftReading $draft) use ($element, $revision): PlannedEdit {
            $before = self::demand($draft, $element->id(), $revision);
            $plan = $draft->plan;
            $kind = $plan->kindOf($element->id());
            if (null !== $kind && $kind !== $element->kind()) {
                throw InvalidData::at('/kind', 'kind-changes', ['kind' => $kind->value]);
            }
            $changed = [$element];
            foreach (Orphans::of($plan, $element) as $other) {
                $changed[] = $other;
                $plan = $plan->with($other);
            }
            self::check($plan, $element);

            return PlannedEdit::of(\sprintf('Change %s', $before?->name() ?? $element->name()), $changed);
        });
    }

    /**
     * @throws NotFound
     * @throws StaleRevision
     * @throws InUse
     */
    public function remove(string $id, int $revision): Change
    {
        return $this->write(static function (DraftReading $draft) use ($id, $revision): PlannedEdit {
            $name = self::demand($draft, $id, $revision)?->name() ?? $id;
            $places = $draft->plan->usesOf($id);
            if ([] !== $places) {
                throw new InUse($name, $places);
            }

            return PlannedEdit::of(\sprintf('Delete %s', $name), [], [$id]);
        });
    }

    /**
     * Adds, replaces and removes many elements as one edit, or none of them.
     *
     * @param \Closure(Plan): PlannedEdit $work what to write, worked out on the draft as it is; may be asked again when
     *                                          somebody else wrote meanwhile
     *
     * @throws InvalidData when the elements do not fit the plan
     */
    public function writeAll(\Closure $work): Change
    {
        return $this->write(static function (DraftReading $draft) use ($work): PlannedEdit {
            $planned = $work($draft->plan);
            self::refuse((new Integrity($draft->plan->withAll($planned->elements)))->problemsAfter($planned->elements));

            return $planned;
        });
    }

    /**
     * Puts a whole plan in the draft's place, as one edit.
     *
     * @param Plan     $plan     one whose elements fit together
     * @param int|null $revision of the draft that was looked at; null: whatever it is
     *
     * @throws StaleRevision
     */
    public function replaceAll(Plan $plan, string $label, ?int $revision, EditState $state = EditState::Done): Change
    {
        $elements = $plan->elements();
        $rows = ElementRows::encode($elements);

        return $this->write(function (DraftReading $draft) use (
            $plan,
            $label,
            $revision,
            $elements,
            $rows,
        ): PlannedEdit {
            if (null !== $revision && $draft->revision !== $revision) {
                throw StaleRevision::of('The draft', $draft->revision);
            }
            $changed = [];
            foreach (
                $this->database->iterateColumn(
                    'SELECT coalesce(r.id, e.id) FROM unnest(CAST(? AS text[]), CAST(? AS text[])) AS r (id, body) FULL JOIN draft_element e ON e.id = r.id WHERE e.body IS DISTINCT FROM CAST(r.body AS jsonb)',
                    [TextArray::of(array_keys($rows)), TextArray::of($rows)],
                )
                as $id
            ) {
                \assert(\is_string($id));
                $changed[$id] = $elements[$id] ?? null;
            }

            return new PlannedEdit(
                $label,
                $changed,
                $plan->name,
                array_map(
                    static fn(string $id): ?string => $rows[$id] ?? null,
                    array_combine(array_keys($changed), array_keys($changed)),
                ),
            );
        }, $state);
    }

    /**
     * What a plan would change.
     *
     * @param Plan $plan one whose elements fit together
     */
    public function difference(Plan $plan): Differing
    {
        return (new Difference($this->database))->toPlan(ElementRows::encode($plan->elements()));
    }

    /**
     * @param int $edit the one that is to be taken back: it must be the last
     *
     * @throws NothingToUndo
     * @throws StaleRevision when it is another by now
     */
    public function undo(int $edit): Change
    {
        return $this->step($edit, 0, 'before', EditState::Undone, 'There is nothing to undo.');
    }

    /**
     * @param int $edit the one that is to be done again: it must be the one undone last
     *
     * @throws NothingToUndo
     * @throws StaleRevision when it is another by now
     */
    public function redo(int $edit): Change
    {
        return $this->step($edit, 1, 'after', EditState::Done, 'There is nothing to redo.');
    }

    /**
     * @param array<string, list<Problem>> $found by element
     *
     * @throws InvalidData when there are any, each under its element's id
     */
    private static function refuse(array $found): void
    {
        $problems = [];
        foreach ($found as $id => $ofElement) {
            foreach ($ofElement as $problem) {
                $problems[] = $problem->under('/' . $id);
            }
        }
        if ([] !== $problems) {
            throw new InvalidData($problems);
        }
    }

    /** @throws InvalidData */
    private static function check(Plan $plan, Element $element): void
    {
        $problems = (new Integrity($plan->with($element)))->problemsOf($element);
        if ([] !== $problems) {
            throw new InvalidData($problems);
        }
    }

    /**
     * @return Element|null the element as it stands; null where its row cannot be read
     *
     * @throws NotFound
     * @throws StaleRevision
     */
    private static function demand(DraftReading $draft, string $id, int $revision): ?Element
    {
        $current =
            $draft->revisionOf($id) ??
            throw new NotFound(
                \sprintf('There is no element "%s" in the draft; it may have been deleted.', mb_substr($id, 0, 80)),
            );
        $element = $draft->plan->find($id);
        if ($current !== $revision) {
            throw StaleRevision::of($element?->name() ?? $id, $current);
        }

        return $element;
    }

    /**
     * An edit is worked out on the draft as it was read; where somebody else wrote meanwhile, it is worked out again.
     *
     * @param \Closure(DraftReading): PlannedEdit $work
     */
    private function write(\Closure $work, EditState $state = EditState::Done): Change
    {
        for ($try = 1; $try < self::TRIES; ++$try) {
            try {
                $draft = $this->read();
                $planned = $work($draft);
            } catch (DraftMoved) {
                continue;
            }
            $rows = $planned->rows ?? ElementRows::encode($planned->elements);
            $change = $this->turn(
                fn(int $revision): ?Change => $revision === $draft->revision
                    ? $this->store($planned, $rows, $draft->plan, $state)
                    : null,
            );
            if (null !== $change) {
                return $change;
            }
        }
        $change = $this->turn(function () use ($work, $state): Change {
            $draft = $this->read();
            $planned = $work($draft);

            return $this->store(
                $planned,
                $planned->rows ?? ElementRows::encode($planned->elements),
                $draft->plan,
                $state,
            );
        });
        \assert(null !== $change);

        return $change;
    }

    /**
     * @param 0|1              $which of ChangeLog::next()
     * @param 'before'|'after' $side
     */
    private function step(int $edit, int $which, string $side, EditState $state, string $nothing): Change
    {
        // What an edit did never changes: it is read before the others wait.
        $elements = $this->log->elements($edit, $side);
        $change = $this->turn(function () use ($edit, $which, $side, $state, $nothing, $elements): Change {
            $next = $this->log->next()[$which] ?? throw new NothingToUndo($nothing);
            if ($next->edit !== $edit) {
                throw StaleRevision::edit($next->label, $next->edit);
            }
            $this->log->mark($edit, $state);
            $this->rename('before' === $side ? $next->nameBefore : $next->nameAfter);

            $revision = $this->apply($edit, $side, $elements);

            return new Change($next->label, $revision, $elements, ...$this->log->next());
        });
        \assert(null !== $change);

        return $change;
    }

    /** @param array<string, string|null> $rows the elements, encoded */
    private function store(PlannedEdit $planned, array $rows, Plan $before, EditState $state): Change
    {
        $isRenamed = null !== $planned->name && $planned->name !== $before->name;
        $edit = $this->log->record($planned, $rows, $state, $isRenamed ? $before->name : null);
        $this->rename($isRenamed ? $planned->name : null);
        // Most edits change what an element does, and not what it mentions.
        $following =
            1 === \count($planned->elements)
                ? Following::otherwise(
                    $before->find(array_key_first($planned->elements)),
                    array_values($planned->elements)[0],
                )
                : Following::cases();

        $revision = $this->apply($edit?->edit, 'after', $planned->elements, $following, $rows);
        $next = null !== $edit && EditState::Done === $state ? [$edit, null] : $this->log->next();

        return new Change($planned->label, $revision, $planned->elements, ...$next);
    }

    private function rename(?string $name): void
    {
        if (null !== $name) {
            $this->database->executeStatement('UPDATE draft SET name = ?', [$name]);
        }
    }

    /**
     * @param int|null                    $edit      in the log; null where nothing changes
     * @param 'before'|'after'            $side      of it
     * @param array<string, Element|null> $elements  by id; null for those that go
     * @param list<Following>|null        $following what may follow otherwise from them; null for all
     * @param array<string, string|null>  $rows      what is stored of them, where it is known
     *
     * @return int the draft's revision from now on
     */
    private function apply(?int $edit, string $side, array $elements, ?array $following = null, array $rows = []): int
    {
        /** @var array{int, int, string} $row */
        $row = $this->database->fetchNumeric(
            "WITH old AS (SELECT revision FROM draft) UPDATE draft SET revision = nextval('draft_revision') FROM old RETURNING draft.revision, old.revision, draft.incarnation",
        );
        [$revision, $before, $incarnation] = $row;
        $following ??= Following::cases();
        null === $edit || $this->rows->write($edit, $side, $elements, $revision, $following);
        DraftSource::moved(
            $this->memory,
            DraftSource::name($incarnation),
            $before,
            $revision,
            $elements,
            Following::cases() === $following,
            $rows,
        );

        return $revision;
    }

    /**
     * Writers of the draft take turns. What fails fails the whole request: a savepoint of its own would be of no use.
     *
     * @param \Closure(int): (Change|null) $work is given the draft's revision
     */
    private function turn(\Closure $work): ?Change
    {
        $turn = function () use ($work): ?Change {
            $revision = $this->database->fetchOne('SELECT revision FROM draft FOR UPDATE');
            \assert(is_numeric($revision));

            return $work((int) $revision);
        };

        return $this->database->isTransactionActive() ? $turn() : $this->database->transactional($turn);
    }
}
