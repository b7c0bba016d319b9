<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Demo\ReadModel\DemoReader;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Roster\Pins;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('demo:accounts', 'Prints who can sign in to the demo.')]
final class AccountsCommand extends Command
{
    public function __construct(private readonly Staff $staff, private readonly DemoReader $reader, private readonly Pins $pins)
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
        foreach ($this->reader->firstOfEachClass() as $row) {
            $output->writeln(sprintf(
                '  %-10s code %s · %s · PIN %s',
                $row['class'],
                $row['code'],
                $row['name'],
                $this->pins->open($row['pin_sealed']),
            ));
        }

        return self::SUCCESS;
    }
}
