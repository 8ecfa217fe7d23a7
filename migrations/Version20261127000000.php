<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Sounds by their contents, what the machine voice has read, and files that came in and wait for their work.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE sound (sha256 CHAR(64) PRIMARY KEY, milliseconds INT NOT NULL, size INT NOT NULL, bytes BYTEA NOT NULL, made_at BIGINT NOT NULL)',
        );
        // Sound does not get smaller by packing, and parts of it are read.
        $this->addSql('ALTER TABLE sound ALTER COLUMN bytes SET STORAGE EXTERNAL');
        $this->addSql(
            'CREATE TABLE spoken (voice TEXT NOT NULL, language CHAR(2) NOT NULL, script CHAR(64) NOT NULL, sha256 CHAR(64) NOT NULL REFERENCES sound ON DELETE CASCADE, PRIMARY KEY (script, language, voice))',
        );
        $this->addSql('CREATE TABLE upload (id CHAR(32) PRIMARY KEY, size INT NOT NULL, made_at BIGINT NOT NULL)');
        $this->addSql(
            'CREATE TABLE upload_part (upload CHAR(32) NOT NULL REFERENCES upload ON DELETE CASCADE, place INT NOT NULL, bytes BYTEA NOT NULL, PRIMARY KEY (upload, place))',
        );
        $this->addSql('ALTER TABLE upload_part ALTER COLUMN bytes SET STORAGE EXTERNAL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE spoken, sound, upload_part, upload');
    }
}
