'use client';
import { useState } from 'react';
import { Button } from '../parts/Button';
import { ClockField } from '../hours/ClockField';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';

const MORNING = 8 * 60;

/** Whether, and when, the day's jobs are told by a notification. */
export function Reminder() {
  const { settings } = useWorkspace();
  const { remind_min } = useSettings();
  const [refused, setRefused] = useState(false);
  async function allow() {
    if (typeof Notification === 'undefined') return setRefused(true);
    const answer = await Notification.requestPermission();
    setRefused(answer !== 'granted');
    if (answer === 'granted') settings.setState({ remind_min: MORNING });
  }
  return (
    <div className="space-y-2">
      {remind_min === null ? (
        <Button onClick={() => void allow()}>Tell me every day</Button>
      ) : (
        <div className="flex flex-wrap items-end gap-4">
          <ClockField
            label="at"
            value={remind_min}
            example_min={MORNING}
            onChange={(minutes) => settings.setState({ remind_min: minutes })}
          />
          <Button onClick={() => settings.setState({ remind_min: null })}>Stop telling me</Button>
        </div>
      )}
      <p role={refused ? 'alert' : undefined} className={refused ? 'text-copper' : 'text-sm text-soft'}>
        {refused
          ? 'This browser does not allow it. Allow notifications for this page in the browser, or take the calendar file from a stand’s Hanging page: your calendar then reminds you.'
          : 'Only while Copper Noon is open in a tab, since nothing leaves your machine. The calendar file from a stand’s Hanging page reminds you without it.'}
      </p>
    </div>
  );
}
