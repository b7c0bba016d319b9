<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Console;

use ChalkLadder\Server\Identity\ReadModel\StaffList;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('team:list', 'Names the teams of this installation.')]
final class ListTeamsCommand extends Command
{
    public function __construct(private readonly StaffList $list)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        foreach ($this->list->teams() as $id => $name) {
            $output->writeln("$id  $name");
        }

        return self::SUCCESS;
    }
}
