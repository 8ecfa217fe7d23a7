<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126190000 extends AbstractMigration
{
    private const FOLLOWING = ['draft_mention', 'draft_dialled', 'draft_reference'];

    public function getDescription(): string
    {
        return 'What rows are looked up by comes first in its index: a planner that takes a table for small would read the whole of another. What follows from an element is not looked up once more.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('DROP INDEX draft_element_listed');
        $this->addSql('CREATE INDEX draft_element_listed ON draft_element (kind, name)');
        $this->addSql('DROP INDEX edit_change_element');
        $this->addSql('CREATE INDEX edit_change_element ON edit_change (element_id)');
        foreach (['draft_mention', 'draft_reference'] as $table) {
            $this->addSql("ALTER TABLE $table DROP CONSTRAINT {$table}_pkey");
            $this->addSql("CREATE INDEX {$table}_element ON $table (element_id)");
        }
        // What follows from an element is written and taken away with it, in one place: ElementRows.
        foreach (self::FOLLOWING as $table) {
            $this->addSql("ALTER TABLE $table DROP CONSTRAINT {$table}_element_id_fkey");
        }
    }

    public function down(Schema $schema): void
    {
        foreach (self::FOLLOWING as $table) {
            $this->addSql(
                "ALTER TABLE $table ADD FOREIGN KEY (element_id) REFERENCES draft_element (id) ON DELETE CASCADE",
            );
        }
        foreach (['draft_mention' => 'mention', 'draft_reference' => 'target'] as $table => $column) {
            $this->addSql("DROP INDEX {$table}_element");
            $this->addSql("ALTER TABLE $table ADD PRIMARY KEY (element_id, $column)");
        }
        $this->addSql('DROP INDEX edit_change_element');
        $this->addSql('CREATE INDEX edit_change_element ON edit_change (element_id, id)');
        $this->addSql('DROP INDEX draft_element_listed');
        $this->addSql('CREATE INDEX draft_element_listed ON draft_element (kind, name, id)');
    }
}
