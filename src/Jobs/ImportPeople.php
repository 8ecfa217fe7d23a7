<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Core\People\PeopleCards;
use Meandros\Core\People\PeopleImport;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\People\PersonOutcome;
use Meandros\Core\People\PersonRow;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Storage\Change;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NewId;
use Meandros\Server\Storage\PlannedEdit;

/** Takes a file of people over as one edit. */
final readonly class ImportPeople implements JobKind
{
    public const NAME = 'people';
    private const MOST_IN_BACKGROUND = 10_000;

    public function __construct(private Draft $draft) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        \assert(\is_string($input['text']));
        $rows = self::rows($input['text']);
        $change = $this->import(
            $rows,
            true === $input['leaveOut'],
            static fn(int $done) => $progress->at($done, \count($rows)),
        );

        return ['rows' => \count($rows), 'label' => $change->label];
    }

    /**
     * @return list<PersonRow>
     *
     * @throws InvalidData
     */
    public static function rows(string $text): array
    {
        $isCards = 1 === preg_match('/^\x{FEFF}?\s*BEGIN:VCARD/iu', $text);

        return $isCards ? PeopleCards::read($text) : PeopleTable::read($text, self::MOST_IN_BACKGROUND);
    }

    /**
     * @param list<PersonRow>            $rows
     * @param bool                       $leaveOut what cannot be taken; otherwise nothing is taken then
     * @param (\Closure(int): void)|null $each     is told how many rows were looked at
     *
     * @throws InvalidData
     */
    public function import(array $rows, bool $leaveOut, ?\Closure $each = null): Change
    {
        return $this->draft->writeAll(static function (Plan $plan) use ($rows, $leaveOut, $each): PlannedEdit {
            $people = $problems = [];
            foreach (self::outcomes($plan, $rows, $each) as $outcome) {
                foreach ($outcome->problems as $column => $problem) {
                    $problems[] = $problem->inFile('/text', $outcome->row->line, $column);
                }
                if (null !== $outcome->person && !$outcome->unchanged) {
                    $people[] = $outcome->person;
                }
            }
            if ([] !== $problems && !$leaveOut) {
                throw new InvalidData($problems);
            }

            return PlannedEdit::of(\sprintf('Bring in %d people', \count($people)), $people);
        });
    }

    /**
     * @param list<PersonRow>            $rows
     * @param (\Closure(int): void)|null $each
     *
     * @return list<PersonOutcome>
     */
    public static function outcomes(Plan $plan, array $rows, ?\Closure $each = null): array
    {
        return PeopleImport::outcomes($plan, $rows, static fn(): string => NewId::of(Kind::Person), $each);
    }
}
