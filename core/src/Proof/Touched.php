<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;

/** The numbers whose calls may come to an element: found backwards, from who mentions it to who mentions those. */
final class Touched
{
    /**
     * @param list<string> $ids of elements
     *
     * @return array<string, Number> by id
     */
    public static function numbers(Plan $plan, array $ids): array
    {
        $numbers = $seen = [];
        $next = $ids;
        for ($i = 0; isset($next[$i]); ++$i) {
            $id = $next[$i];
            if (isset($seen[$id])) {
                continue;
            }
            $seen[$id] = true;
            $element = $plan->find($id);
            $isNumber = $element instanceof Number;
            if ($isNumber) {
                $numbers[$id] = $element;
            }
            // A number is shown by its id; calls come back in by what is dialled.
            foreach ($plan->mentioning($isNumber ? $element->range->number : $id) as $user) {
                $next[] = $user->id();
            }
        }

        return $numbers;
    }
}
