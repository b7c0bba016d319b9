<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\OpenApi;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('api:describe', 'Prints the API in OpenAPI 3.1, from which the client’s types are made.')]
final class DescribeCommand extends Command
{
    public function __construct(private readonly Describe $describe)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->write($this->describe->json(), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
