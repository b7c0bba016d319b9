<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\Console;

use ChalkLadder\Server\Exchange\TeamBackup;
use Doctrine\DBAL\Exception\DriverException;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('team:backup', 'Writes a team with all that is theirs to a file, and prints its checksum.')]
final class TeamBackupCommand extends Command
{
    public function __construct(private readonly TeamBackup $backup)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument(
            'team',
            InputArgument::REQUIRED,
            'The team’s id; team:list names them',
        )->addArgument('file', InputArgument::REQUIRED, 'The file');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $path = is_string($file = $input->getArgument('file')) ? $file : '';
        try {
            [$rows, $checksum] = $this->backup->write(is_string($team = $input->getArgument('team')) ? $team : '', $path);
            $style->success("$rows rows, checksum $checksum");
        } catch (\UnexpectedValueException $e) {
            $style->error($e->getMessage());

            return self::FAILURE;
        } catch (DriverException $e) {
            $style->error(['The database refused it; nothing was changed.', $e->getMessage()]);

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
