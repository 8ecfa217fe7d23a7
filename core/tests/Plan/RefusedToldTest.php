<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Tests\Told;
use Meandros\Core\Tests\Tried;
use PHPUnit\Framework\TestCase;

/** What becomes of every field of the schema where something stands in it that may not belong there, and the words of what is refused. */
final class RefusedToldTest extends TestCase
{
    public function testOfEveryField(): void
    {
        $tried = new Tried(static fn(array $data): array => PlanCodec::element($data)->toJson());
        $told = [];
        foreach ((new SchemaPlaces())->all() as [$element, $pointer]) {
            $place = "# {$pointer} of {$element['id']}\n";
            $told[$place] ??= '' === $pointer ? '' : $place . $tried->at($element, $pointer);
        }
        Told::same(__DIR__ . '/refused.en.txt', implode('', $told) . $tried->words());
    }
}
