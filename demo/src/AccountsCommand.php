<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Roster\Pins;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('demo:accounts', 'Prints who can sign in to the demo.')]
final class AccountsCommand extends Command
{
    public function __construct(private readonly Staff $staff, private readonly Database $database, private readonly Pins $pins)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->writeln('Teachers (password "'.Staff::DEMO_PASSWORD.'"):');
        foreach ($this->staff->demoAccounts() as $account) {
            $output->writeln(sprintf('  %-22s %-18s %-8s %s', $account->email, $account->name, $account->role, $account->team));
        }
        $output->writeln('Students, at /join:');
        foreach ($this->database->rows('SELECT DISTINCT ON (c.name) c.name AS class, c.code, s.name, s.pin_sealed FROM class c JOIN class_member m ON m.class_id = c.id JOIN student s ON s.id = m.student_id ORDER BY c.name, s.name_folded') as $row) {
            $output->writeln(sprintf('  %-10s code %s · %s · PIN %s', $row->text('class'), $row->text('code'), $row->text('name'), $this->pins->open($row->text('pin_sealed'))));
        }

        return self::SUCCESS;
    }
}
