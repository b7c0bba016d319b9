<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Console;

use ChalkLadder\Server\Handout\Deadlines;
use Psr\Log\LoggerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Command\SignalableCommandInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\DependencyInjection\ServicesResetterInterface;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\KernelEvents;

/** What happens by the clock: at the closing time, what students have entered is handed in. Runs beside the web server. */
#[AsCommand('clock:run', 'Keeps closing times. Runs until it is stopped; --once looks once.')]
final class ClockCommand extends Command implements SignalableCommandInterface
{
    private const EVERY_SECONDS = 5;
    private bool $goesOn = true;

    public function __construct(
        private readonly Deadlines $deadlines,
        private readonly EventDispatcherInterface $events,
        private readonly HttpKernelInterface $kernel,
        private readonly ServicesResetterInterface $resetter,
        private readonly LoggerInterface $logger,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('once', null, InputOption::VALUE_NONE, 'Look once');
    }

    /** @return list<int> */
    public function getSubscribedSignals(): array
    {
        return [SIGTERM, SIGINT];
    }

    public function handleSignal(int $signal, int|false $previousExitCode = 0): int|false
    {
        $this->goesOn = false;

        return false;
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        do {
            try {
                $closed = $this->deadlines->keep();
                if ($closed > 0) {
                    $output->writeln(date('c')." closed $closed by the clock");
                    // Live screens are told as after a request.
                    $this->events->dispatch(new TerminateEvent($this->kernel, new Request(), new Response()), KernelEvents::TERMINATE);
                }
            } catch (\Throwable $e) {
                // The database may be away for a moment; the next look comes soon.
                $this->logger->error('The clock was not kept: '.$e->getMessage());
            }
            $this->resetter->reset();
            for ($i = 0; $i < 10 * self::EVERY_SECONDS && $this->goesOn && $input->getOption('once') !== true; ++$i) {
                usleep(100_000);
            }
        } while ($this->goesOn && $input->getOption('once') !== true);

        return self::SUCCESS;
    }
}
