<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** What calls may still come to after the step that comes next, by id, or number outside. */
final readonly class Ahead
{
    /**
     * @param array<string, true> $all        by whichever exit, once phones rang at it and none took the call
     * @param array<string, true> $straightOn where it goes on by none
     */
    public function __construct(public array $all, private array $straightOn) {}

    /**
     * Whether the same of these may be come to.
     *
     * @param array<string, true>|null $who owners of phones, and numbers outside; null for whatever there is
     */
    public function isLike(self $other, ?array $who): bool
    {
        foreach ([[$this->all, $other->all], [$this->straightOn, $other->straightOn]] as [$one, $another]) {
            $one = null === $who ? $one : array_intersect_key($one, $who);
            $another = null === $who ? $another : array_intersect_key($another, $who);
            if (\count($one) !== \count($another) || [] !== array_diff_key($one, $another)) {
                return false;
            }
        }

        return true;
    }
}
