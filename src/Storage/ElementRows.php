<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\MentionIndex;
use Meandros\Core\Plan\Mentions;
use Meandros\Core\Plan\Problem;

/**
 * The rows of the draft's elements, and of what follows from each: what it mentions, what is dialled to reach it, what it
 * refers to. The last two are guarded by the database too: nothing is dialled twice, no reference leads nowhere.
 */
final readonly class ElementRows implements MentionIndex
{
    private const FOLLOWING = ['draft_mention' => 'mention', 'draft_dialled' => 'dialled', 'draft_reference' => 'target'];

    public function __construct(private Connection $database)
    {
    }

    public function of(string $text): array
    {
        $ids = $this->database->fetchFirstColumn('SELECT m.element_id FROM draft_mention m JOIN draft_element e ON e.id = m.element_id WHERE m.mention = ? ORDER BY e.kind, e.name, e.id', [$text]);

        return array_values(array_filter($ids, \is_string(...)));
    }

    /**
     * Elements as they will be stored. Each is read back first: whatever is stored can be read.
     *
     * @param array<string, Element|null> $elements by id
     *
     * @return string a JSON list of {id, kind, name, body}; body is null for those that go
     *
     * @throws InvalidData
     */
    public static function encode(array $elements): string
    {
        $rows = $problems = [];
        foreach ($elements as $id => $element) {
            if (null === $element) {
                $rows[] = json_encode(['id' => $id, 'body' => null], \JSON_THROW_ON_ERROR);
                continue;
            }
            try {
                $json = PlanCodec::encodeElement($element);
                PlanCodec::storedElement($json);
                $rows[] = \sprintf('{"id":%s,"kind":%s,"name":%s,"body":%s}', json_encode($id, \JSON_THROW_ON_ERROR), json_encode($element->kind(), \JSON_THROW_ON_ERROR), json_encode($element->name(), \JSON_THROW_ON_ERROR), $json);
            } catch (InvalidData $invalid) {
                array_push($problems, ...array_map(static fn (Problem $problem): Problem => 1 === \count($elements) ? $problem : $problem->under('/'.$id), $invalid->problems));
            }
        }
        if ([] !== $problems) {
            throw new InvalidData($problems);
        }

        return '['.implode(',', $rows).']';
    }

    /**
     * @param string                      $rows     the same elements, encoded
     * @param array<string, Element|null> $elements by id
     */
    public function write(string $rows, array $elements, int $revision): void
    {
        // Within one edit two extensions may change hands: what must hold is looked at when all of it is written.
        $this->database->executeStatement('SET CONSTRAINTS ALL DEFERRED');
        $given = 'jsonb_to_recordset(CAST(? AS jsonb)) AS r (id text, kind text, name text, body jsonb)';
        $this->database->executeStatement("DELETE FROM draft_element WHERE id IN (SELECT r.id FROM $given WHERE r.body IS NULL)", [$rows]);
        $this->database->executeStatement("INSERT INTO draft_element (id, kind, name, body, revision) SELECT r.id, r.kind, r.name, r.body, ? FROM $given WHERE r.body IS NOT NULL
            ON CONFLICT (id) DO UPDATE SET kind = EXCLUDED.kind, name = EXCLUDED.name, body = EXCLUDED.body, revision = EXCLUDED.revision", [$revision, $rows]);
        $following = ['draft_mention' => [], 'draft_dialled' => [], 'draft_reference' => []];
        foreach (array_filter($elements) as $id => $element) {
            $following['draft_mention'][] = [$id, Mentions::by($element)];
            $following['draft_dialled'][] = [$id, array_values(Dialled::by($element))];
            $following['draft_reference'][] = [$id, array_values(array_unique(array_column($element->references(), 'id')))];
        }
        foreach (self::FOLLOWING as $table => $column) {
            $this->database->executeStatement("DELETE FROM $table WHERE element_id IN (SELECT r.id FROM $given)", [$rows]);
            $this->database->executeStatement("INSERT INTO $table (element_id, $column) SELECT r->>0, x FROM jsonb_array_elements(CAST(? AS jsonb)) AS r, jsonb_array_elements_text(r->1) AS x", [json_encode($following[$table], \JSON_THROW_ON_ERROR)]);
        }
        $this->database->executeStatement('SET CONSTRAINTS ALL IMMEDIATE');
    }
}
