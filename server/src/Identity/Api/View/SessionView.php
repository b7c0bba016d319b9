<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

final readonly class SessionView
{
    /** @param list<DemoAccountView> $demoAccounts offered only while demo data is loaded */
    public function __construct(public ?StaffView $staff, public array $demoAccounts)
    {
    }
}
