<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Repository;

use ChalkLadder\Server\Bank\Entity\Remark;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Remark> */
final readonly class RemarkRepository extends Repository
{
    public function remove(Remark $remark): void
    {
        $this->entities->remove($remark);
    }

    protected function kind(): string
    {
        return Remark::class;
    }
}
