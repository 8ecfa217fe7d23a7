<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Meandros\Core\Plan\Check\Integrity;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Orphans;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Problem;
use Meandros\Core\Plan\StoredElement;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\DraftElement;
use Meandros\Server\Storage\Entity\Edit;
use Meandros\Server\Storage\Entity\EditChange;
use Meandros\Server\Storage\Entity\EditState;

/** The plan being edited. Every write is checked against the whole plan, logged, and can be undone. */
final readonly class Draft
{
    /** Writers of the draft take turns: any number that nothing else in this database locks. */
    private const LOCK = 7120001;

    public function __construct(private EntityManagerInterface $entities, private Connection $database, private Now $now, private DraftMentions $mentions)
    {
    }

    public function plan(): Plan
    {
        return $this->withRevisions()[0];
    }

    /**
     * Name, elements and revisions of one moment, whatever is written meanwhile: they are read in one statement.
     *
     * @return array{Plan, array<string, int>} the plan, and revisions by element
     */
    public function withRevisions(): array
    {
        $name = '';
        $elements = $revisions = [];
        /** @var array{string, string|null, string, string, int} $row */
        foreach ($this->database->iterateNumeric('SELECT draft.name, e.id, e.kind, e.body, e.revision FROM draft LEFT JOIN draft_element e ON true ORDER BY e.kind, e.name, e.id') as $row) {
            $name = $row[0];
            if (null !== $row[1]) {
                $elements[$row[1]] = new StoredElement(Kind::from($row[2]), $row[3]);
                $revisions[$row[1]] = (int) $row[4];
            }
        }

        return [Plan::stored($name, $elements, $this->mentions), $revisions];
    }

    private function name(): string
    {
        $name = $this->database->fetchOne('SELECT name FROM draft');
        \assert(\is_string($name));

        return $name;
    }

    private function rename(?string $name): void
    {
        if (null !== $name) {
            $this->database->executeStatement('UPDATE draft SET name = ?', [$name]);
        }
    }

    /**
     * @throws InvalidData   when the element does not fit the plan
     * @throws AlreadyExists
     */
    public function add(Element $element): Change
    {
        return $this->turn(function () use ($element): Change {
            if (null !== $this->entities->find(DraftElement::class, $element->id())) {
                throw new AlreadyExists($element->id());
            }
            self::check($this->plan(), $element);

            return $this->record(\sprintf('Add %s', $element->name()), [[$element->id(), null, $element]]);
        });
    }

    /**
     * @throws InvalidData   when the element does not fit the plan
     * @throws NotFound
     * @throws StaleRevision when it was changed by somebody else meanwhile
     */
    public function replace(Element $element, int $revision): Change
    {
        return $this->turn(function () use ($element, $revision): Change {
            $row = $this->row($element->id(), $revision);
            if ($row->kind !== $element->kind()->value) {
                throw InvalidData::at('/kind', 'An element cannot become one of another kind.', \sprintf('Keep "%s", or add a new element.', $row->kind));
            }
            $plan = $this->plan();
            $changes = [[$element->id(), PlanCodec::element($row->body()), $element]];
            foreach (Orphans::of($plan, $element) as $other) {
                $changes[] = [$other->id(), $plan->find($other->id()), $other];
                $plan = $plan->with($other);
            }
            self::check($plan, $element);

            return $this->record(\sprintf('Change %s', $row->name()), $changes);
        });
    }

    /**
     * @throws NotFound
     * @throws StaleRevision
     * @throws InUse
     */
    public function remove(string $id, int $revision): Change
    {
        return $this->turn(function () use ($id, $revision): Change {
            $row = $this->row($id, $revision);
            $places = $this->plan()->usesOf($id);
            if ([] !== $places) {
                throw new InUse($row->name(), $places);
            }

            return $this->record(\sprintf('Delete %s', $row->name()), [[$id, PlanCodec::element($row->body()), null]]);
        });
    }

    /**
     * Adds, replaces and removes many elements as one edit, or none of them. What to write is worked out on the draft as it is
     * when the turn comes.
     *
     * @param \Closure(Plan): array{0: string, 1: list<Element>, 2?: list<string>} $work the edit's label, the elements as they
     *                                                                                   are to be, and the ids of those that go
     *
     * @throws InvalidData when the elements do not fit the plan
     */
    public function writeAll(\Closure $work): Change
    {
        return $this->turn(function () use ($work): Change {
            $plan = $after = $this->plan();
            [$label, $elements] = $planned = $work($plan);
            $changes = [];
            foreach ($planned[2] ?? [] as $id) {
                $changes[] = [$id, $plan->find($id), null];
                $after = $after->without($id);
            }
            foreach ($elements as $element) {
                $changes[] = [$element->id(), $plan->find($element->id()), $element];
                $after = $after->with($element);
            }
            self::refuse((new Integrity($after))->problems());

            return $this->record($label, $changes);
        });
    }

    /** Puts a whole plan in the draft's place, as one edit. */
    public function replaceAll(Plan $plan, string $label, EditState $state = EditState::Done): Change
    {
        return $this->turn(function () use ($plan, $label, $state): Change {
            $before = $this->plan()->elements();
            $after = $plan->elements();
            $changes = [];
            foreach ($before + $after as $id => $_) {
                [$old, $new] = [$before[$id] ?? null, $after[$id] ?? null];
                if (null === $old || null === $new || PlanCodec::encodeElement($old) !== PlanCodec::encodeElement($new)) {
                    $changes[] = [$id, $old, $new];
                }
            }

            return $this->record($label, $changes, $state, $plan->name);
        });
    }

    /** @throws NothingToUndo */
    public function undo(): Change
    {
        return $this->turn(function (): Change {
            $edit = $this->lastDone() ?? throw new NothingToUndo('There is nothing to undo.');
            $edit->state = EditState::Undone;
            $this->rename($edit->nameBefore);

            return $this->apply($edit->label, array_map(static fn (EditChange $change): array => [$change->elementId, self::element($change->before)], array_reverse($edit->changes())));
        });
    }

    /** @throws NothingToUndo */
    public function redo(): Change
    {
        return $this->turn(function (): Change {
            $edit = $this->firstUndone() ?? throw new NothingToUndo('There is nothing to redo.');
            $edit->state = EditState::Done;
            $this->rename($edit->nameAfter);

            return $this->apply($edit->label, array_map(static fn (EditChange $change): array => [$change->elementId, self::element($change->after)], $edit->changes()));
        });
    }

    public function lastDone(): ?Edit
    {
        return $this->entities->getRepository(Edit::class)->findOneBy(['state' => EditState::Done], ['id' => 'DESC']);
    }

    public function firstUndone(): ?Edit
    {
        return $this->entities->getRepository(Edit::class)->findOneBy(['state' => EditState::Undone], ['id' => 'ASC']);
    }

    /** @return list<Edit> the latest first */
    public function history(int $most): array
    {
        return $this->entities->getRepository(Edit::class)->findBy([], ['id' => 'DESC'], $most);
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
                $problems[] = $problem->under('/'.$id);
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
     * @throws NotFound
     * @throws StaleRevision
     */
    private function row(string $id, int $revision): DraftElement
    {
        $row = $this->entities->find(DraftElement::class, $id) ?? throw new NotFound(\sprintf('There is no element "%s" in the draft; it may have been deleted.', $id));
        if ($row->revision() !== $revision) {
            throw new StaleRevision($row->name(), $row->revision());
        }

        return $row;
    }

    /** @param list<array{string, Element|null, Element|null}> $changes id, before, after */
    private function record(string $label, array $changes, EditState $state = EditState::Done, ?string $name = null): Change
    {
        foreach ($this->entities->getRepository(Edit::class)->findBy(['state' => EditState::Undone]) as $undone) {
            $undone->state = EditState::Dropped;
        }
        $edit = new Edit(mb_substr($label, 0, 300), 'demo', $this->now->moment());
        $edit->state = $state;
        if (null !== $name && $name !== $this->name()) {
            [$edit->nameBefore, $edit->nameAfter] = [$this->name(), $name];
            $this->rename($name);
        }
        foreach ($changes as [$id, $before, $after]) {
            $edit->add($id, $before?->toJson(), $after?->toJson());
        }
        if ([] !== $changes || null !== $edit->nameAfter) {
            $this->entities->persist($edit);
        }

        return $this->apply($label, array_map(static fn (array $change): array => [$change[0], $change[2]], $changes));
    }

    /** @param array<mixed>|null $body */
    private static function element(?array $body): ?Element
    {
        return null === $body ? null : PlanCodec::element($body);
    }

    /** @param list<array{string, Element|null}> $states id, and what it is to be or null for nothing */
    private function apply(string $label, array $states): Change
    {
        $revision = $this->database->fetchOne("SELECT nextval('draft_revision')");
        \assert(is_numeric($revision));
        $results = [];
        foreach ($states as [$id, $element]) {
            $row = $this->entities->find(DraftElement::class, $id);
            if (null === $element) {
                null === $row ?: $this->entities->remove($row);
            } elseif (null === $row) {
                $this->entities->persist(new DraftElement($element, (int) $revision));
            } else {
                $row->write($element, (int) $revision);
            }
            $results[$id] = $element;
        }
        $this->entities->flush();
        $this->mentions->write($results);

        return new Change($label, (int) $revision, $results, $this->lastDone()?->label, $this->firstUndone()?->label);
    }

    /**
     * @param \Closure(): Change $work
     */
    private function turn(\Closure $work): Change
    {
        return $this->entities->wrapInTransaction(function () use ($work): Change {
            $this->database->executeStatement('SELECT pg_advisory_xact_lock(?)', [self::LOCK]);
            $this->entities->clear();

            return $work();
        });
    }
}
