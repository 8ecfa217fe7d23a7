<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127010000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'PINs of mailboxes, hashed, and the sound that comes with an e-mail.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE mailbox_pin (mailbox VARCHAR(80) PRIMARY KEY, hash TEXT NOT NULL, who TEXT NOT NULL, set_at BIGINT NOT NULL)',
        );
        $this->addSql('ALTER TABLE outbox ADD COLUMN sound CHAR(64)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE mailbox_pin');
        $this->addSql('ALTER TABLE outbox DROP COLUMN sound');
    }
}
