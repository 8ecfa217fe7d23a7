<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\BlockShelf;

/**
 * Where the elements of a plan come from. They are asked for by id, by kind, and by what they mention: what a call, a check
 * or a preview costs does not grow with the plan.
 */
interface ElementSource
{
    /** @throws InvalidData when it is kept and cannot be read */
    public function find(string $id): ?Element;

    public function kindOf(string $id): ?Kind;

    /** @return list<string> ids, in the order in which they are listed; of every kind where none is named */
    public function ids(?Kind $kind = null): array;

    /** @return array<string, string> what the elements of a kind are called, by id, in the same order; none of them is read for it */
    public function names(Kind $kind): array;

    /** @param list<string> $texts of which it will be asked who mentions them: whoever keeps that elsewhere fetches it at once */
    public function foresee(array $texts): void;

    /** Most of it will be asked for, as by calls to every number: whoever keeps it elsewhere fetches all of it at once. */
    public function foreseeAll(): void;

    /**
     * @param string $text an element's id, something that can be dialled, or a number that is called
     *
     * @return list<string> ids of the elements that mention it
     */
    public function mentioning(string $text): array;

    /**
     * @param list<string> $ids  of the elements from which hours are made
     * @param string       $more whatever else they depend on
     *
     * @return BlockShelf|null for hours compiled from these elements as they are; null where nothing is put by
     */
    public function shelf(array $ids, string $more): ?BlockShelf;

    /** Sources that have the same one have the same elements. */
    public function fingerprint(): string;

    /** @return Mark|null what the elements are now; null where nothing can be told of them later */
    public function mark(): ?Mark;

    /** @return list<string>|null ids of the elements that were written since, but not of those that are gone; null where that is not known */
    public function changedSince(Mark $mark): ?array;
}
