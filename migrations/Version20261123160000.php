<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261123160000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Statuses of people: live state. Instants are Unix seconds.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE person_status (person VARCHAR(64) NOT NULL, status VARCHAR(20) NOT NULL, until_at BIGINT DEFAULT NULL, who VARCHAR(100) NOT NULL, set_at BIGINT NOT NULL, PRIMARY KEY (person))',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE person_status');
    }
}
