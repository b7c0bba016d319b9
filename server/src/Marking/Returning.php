<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Marking\Api\Input\ReturnInput;
use ChalkLadder\Server\Marking\Api\Input\TakeBackInput;
use ChalkLadder\Server\Marking\Api\View\OutboxView;
use ChalkLadder\Server\Marking\Api\View\ReturnedView;
use ChalkLadder\Server\Marking\Api\View\ReturnStateView;
use ChalkLadder\Server\Marking\ReadModel\ReturnList;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Students;
use ChalkLadder\Server\Sitting\Work;
use Symfony\Component\Mailer\MailerInterface;

/** Gives marks and feedback back to students, with a message; the outbox keeps what would have been sent. */
final readonly class Returning
{
    public function __construct(
        private Handouts $handouts,
        private Work $work,
        private Students $students,
        private MailerInterface $mailer,
        private ReturnList $list,
        private Transaction $transaction,
    ) {
    }

    public function return(StaffUser $who, string $handoutId, ReturnInput $input): ReturnedView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);

        return $this->transaction->run(function () use ($who, $handout, $input): ReturnedView {
            $message = trim($input->message);
            [$returned, $waiting] = $this->work->return($handout->id, $input->students, $message);
            foreach ($returned as $student) {
                $this->mailer->send(new StudentMail(
                    $who->teamId,
                    $student,
                    $handout->id,
                    $who->id,
                    $handout->title.' is back',
                    $message === '' ? 'Your work has been marked.' : $message,
                ));
            }
            $this->noteFor($who, 'return', $handout->id, $returned);
            $names = $this->students->names($who->teamId, $waiting);
            asort($names);

            return new ReturnedView($returned, array_values($names));
        });
    }

    /** What may go back, what waits and what is back, student by student. */
    public function state(string $teamId, string $handoutId): ReturnStateView
    {
        $this->handouts->find($teamId, $handoutId);

        return new ReturnStateView($this->list->state($handoutId));
    }

    /** Takes returned work back, unless the student has replied to it. */
    public function takeBack(StaffUser $who, string $handoutId, TakeBackInput $input): ReturnedView
    {
        $this->handouts->find($who->teamId, $handoutId);

        return $this->transaction->run(function () use ($who, $handoutId, $input): ReturnedView {
            $taken = $this->work->takeBack($handoutId, $input->students);
            $this->noteFor($who, 'take back', $handoutId, $taken);

            return new ReturnedView($taken, []);
        });
    }

    public function outbox(string $teamId): OutboxView
    {
        return new OutboxView($this->list->outbox($teamId));
    }

    /** @param list<string> $students ids */
    private function noteFor(StaffUser $who, string $act, string $handoutId, array $students): void
    {
        if ($students !== []) {
            $this->transaction->note(new Acted($who->teamId, $who->id, $act, 'handout', $handoutId, ['students' => count($students)]));
        }
    }
}
