<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Spelled;

final class Version20261126230000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How people of the draft are spelled on the keys.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("DELETE FROM draft_mention WHERE mention LIKE 'spelled %'");
        foreach (
            $this->connection->iterateKeyValue("SELECT id, body FROM draft_element WHERE kind = 'person'")
            as $id => $body
        ) {
            \assert(\is_string($body));
            foreach (Spelled::by(PlanCodec::storedElement($body)) as $mention) {
                $this->addSql('INSERT INTO draft_mention (element_id, mention) VALUES (?, ?)', [$id, $mention]);
            }
        }
    }

    public function down(Schema $schema): void
    {
        $this->addSql("DELETE FROM draft_mention WHERE mention LIKE 'spelled %'");
    }
}
