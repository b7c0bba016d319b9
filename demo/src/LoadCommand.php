<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Demo\ReadModel\DemoReader;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('demo:load', 'Loads the demo into an empty database.')]
final class LoadCommand extends Command
{
    public function __construct(
        private readonly DemoReader $reader,
        private readonly EntityManagerInterface $entities,
        private readonly History $history,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (!$this->reader->isEmpty()) {
            $output->writeln('There are teams here already; the demo goes into an empty database only (bin/start --fresh).');

            return self::FAILURE;
        }
        // All of it or none.
        $this->entities->getConnection()->transactional(fn () => $this->history->tell());
        Clock::set(new NativeClock());
        $this->reader->analyse();

        return self::SUCCESS;
    }
}
