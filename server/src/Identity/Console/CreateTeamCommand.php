<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Console;

use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Question\Question;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('team:create', 'Makes a team and its lead.')]
final class CreateTeamCommand extends Command
{
    /** Nobody may be there to answer. */
    private const TRIES = 3;

    public function __construct(private readonly Teams $teams, private readonly Staff $staff, private readonly Transaction $transaction)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('team', InputArgument::REQUIRED, 'The team’s name')
            ->addArgument('email', InputArgument::REQUIRED, 'The lead’s e-mail address')
            ->addArgument('name', InputArgument::REQUIRED, 'The lead’s name')
            ->addOption(
                'numbers',
                null,
                InputOption::VALUE_REQUIRED,
                'How the team writes numbers: point (1,234.5) or comma (1.234,5)',
                Style::Point->value,
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $text = static fn (string $name): string => is_string($value = $input->getArgument($name)) ? $value : '';
        if (filter_var($text('email'), FILTER_VALIDATE_EMAIL) === false) {
            $style->error('This is not an e-mail address: '.$text('email'));

            return self::INVALID;
        }
        if (trim($text('team')) === '' || trim($text('name')) === '') {
            $style->error('The team and its lead need a name each.');

            return self::INVALID;
        }
        if ($this->staff->has($text('email'))) {
            $style->error('There is already an account for '.$text('email').'. Choose another address.');

            return self::INVALID;
        }
        $numbers = is_string($n = $input->getOption('numbers')) ? Style::tryFrom($n) : null;
        if ($numbers === null) {
            $style->error('--numbers is point or comma.');

            return self::INVALID;
        }
        $ask = new Question('Password (at least 10 characters)');
        $ask->setHidden(true)->setMaxAttempts(self::TRIES)->setValidator(static fn (mixed $p): string => is_string($p)
            && mb_strlen($p) >= 10
            ? $p
            : throw new \RuntimeException('At least 10 characters.'));
        $password = $style->askQuestion($ask);
        $this->transaction->run(function () use ($text, $password, $numbers): void {
            $this->staff->create(
                $this->teams->found($text('team'), $numbers),
                $text('email'),
                $text('name'),
                Role::Lead,
                is_string($password) ? $password : '',
            );
        });
        $style->success('Made. Sign in with '.$text('email').'.');

        return self::SUCCESS;
    }
}
