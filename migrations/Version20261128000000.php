<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Worded;
use Meandros\Core\Reading\InvalidData;

final class Version20261128000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What is worded in the draft, found by any part of it.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE EXTENSION IF NOT EXISTS pg_trgm');
        $this->addSql(
            'CREATE TABLE draft_worded (element_id VARCHAR(64) NOT NULL REFERENCES draft_element (id) ON DELETE CASCADE, words TEXT NOT NULL)',
        );
        if ($this->connection->createSchemaManager()->tablesExist(['draft_element'])) {
            foreach ($this->connection->iterateKeyValue('SELECT id, body FROM draft_element') as $id => $body) {
                \assert(\is_string($body));
                try {
                    $worded = Worded::plainly(PlanCodec::storedElement($body));
                } catch (InvalidData) {
                    // It is told elsewhere that it cannot be read.
                    continue;
                }
                foreach ($worded as $words) {
                    $this->addSql('INSERT INTO draft_worded (element_id, words) VALUES (?, ?)', [$id, $words]);
                }
            }
        }
        $this->addSql('CREATE INDEX draft_worded_element ON draft_worded (element_id)');
        $this->addSql('CREATE INDEX draft_worded_words ON draft_worded USING gin (words gin_trgm_ops)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE draft_worded');
    }
}
