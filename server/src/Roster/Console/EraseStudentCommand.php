<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Console;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\Erasing;
use ChalkLadder\Server\Roster\Students;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\Uid\Uuid;

#[AsCommand('student:erase', 'Erases a student: name, PIN, and all they have written. Right and wrong stay for the statistics, unnamed.')]
final class EraseStudentCommand extends Command
{
    public function __construct(private readonly Erasing $erasing, private readonly Students $students)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('team', InputArgument::REQUIRED, 'The team’s id')
            ->addArgument('student', InputArgument::REQUIRED, 'The student’s id')
            ->addOption('yes', null, InputOption::VALUE_NONE, 'Do not ask');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        [$team, $student] = [$input->getArgument('team'), $input->getArgument('student')];
        $name = is_string($team) && is_string($student) && Uuid::isValid($team) && Uuid::isValid($student)
            ? $this->students->name($team, $student)
            : '';
        if (!is_string($team) || !is_string($student) || $name === '') {
            $style->error('This team has no such student. The address of a student’s work ends with their id.');

            return self::INVALID;
        }
        if ($input->getOption('yes') !== true && !$style->confirm("Erase $name? This cannot be undone.", false)) {
            return self::SUCCESS;
        }
        try {
            $this->erasing->erase($team, $student);
        } catch (Problem $problem) {
            $style->error($problem->getMessage());

            return self::FAILURE;
        }
        $style->success('Erased.');

        return self::SUCCESS;
    }
}
