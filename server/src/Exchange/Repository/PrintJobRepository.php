<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\Repository;

use ChalkLadder\Server\Exchange\Entity\PrintJob;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<PrintJob> */
final readonly class PrintJobRepository extends Repository
{
    protected function kind(): string
    {
        return PrintJob::class;
    }
}
