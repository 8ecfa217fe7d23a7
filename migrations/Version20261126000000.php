<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Mentions;

final class Version20261126000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Who mentions what in the draft.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE draft_mention (element_id VARCHAR(64) NOT NULL REFERENCES draft_element (id) ON DELETE CASCADE, mention VARCHAR(80) NOT NULL, PRIMARY KEY (element_id, mention))',
        );
        $this->addSql('CREATE INDEX draft_mention_mention ON draft_mention (mention)');
        if (!$this->connection->createSchemaManager()->tablesExist(['draft_element'])) {
            return;
        }
        foreach ($this->connection->iterateKeyValue('SELECT id, body FROM draft_element') as $id => $body) {
            \assert(\is_string($body));
            foreach (Mentions::by(PlanCodec::storedElement($body)) as $mention) {
                $this->addSql('INSERT INTO draft_mention (element_id, mention) VALUES (?, ?)', [$id, $mention]);
            }
        }
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE draft_mention');
    }
}
