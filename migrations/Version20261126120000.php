<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;

final class Version20261126120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The draft has a revision; what must be unique and references are guarded; answers to writes are remembered.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE draft ADD revision BIGINT DEFAULT 0 NOT NULL');
        $this->addSql("UPDATE draft SET revision = nextval('draft_revision')");
        $this->addSql(
            'CREATE TABLE draft_dialled (dialled VARCHAR(80) NOT NULL, element_id VARCHAR(64) NOT NULL REFERENCES draft_element (id) ON DELETE CASCADE, PRIMARY KEY (dialled) DEFERRABLE INITIALLY DEFERRED)',
        );
        $this->addSql('CREATE INDEX draft_dialled_element ON draft_dialled (element_id)');
        $this->addSql(
            'CREATE TABLE draft_reference (element_id VARCHAR(64) NOT NULL REFERENCES draft_element (id) ON DELETE CASCADE, target VARCHAR(64) NOT NULL REFERENCES draft_element (id) DEFERRABLE INITIALLY DEFERRED, PRIMARY KEY (element_id, target))',
        );
        $this->addSql('CREATE INDEX draft_reference_target ON draft_reference (target)');
        $this->addSql('CREATE INDEX edit_change_element ON edit_change (element_id, id)');
        $this->addSql(
            'CREATE TABLE remembered_answer (key VARCHAR(200) NOT NULL, fingerprint VARCHAR(64) NOT NULL, status SMALLINT NOT NULL, headers JSONB NOT NULL, body TEXT NOT NULL, made_at BIGINT NOT NULL, PRIMARY KEY (key))',
        );
        $this->addSql('CREATE INDEX remembered_answer_made ON remembered_answer (made_at)');
        if (!$this->connection->createSchemaManager()->tablesExist(['draft_element'])) {
            return;
        }
        foreach ($this->connection->iterateKeyValue('SELECT id, body FROM draft_element') as $id => $body) {
            \assert(\is_string($body));
            try {
                $element = PlanCodec::storedElement($body);
            } catch (InvalidData) {
                // The draft says that it cannot be read.
                continue;
            }
            foreach (array_unique(Dialled::by($element)) as $dialled) {
                $this->addSql('INSERT INTO draft_dialled (dialled, element_id) VALUES (?, ?)', [$dialled, $id]);
            }
            foreach (array_unique(array_column($element->references(), 'id')) as $target) {
                $this->addSql('INSERT INTO draft_reference (element_id, target) VALUES (?, ?)', [$id, $target]);
            }
        }
    }

    public function down(Schema $schema): void
    {
        foreach (['remembered_answer', 'draft_reference', 'draft_dialled'] as $table) {
            $this->addSql('DROP TABLE ' . $table);
        }
        $this->addSql('DROP INDEX edit_change_element');
        $this->addSql('ALTER TABLE draft DROP COLUMN revision');
    }
}
