import { useMutation } from '@tanstack/react-query';
import { Button, type ButtonProps } from 'antd';

interface Props extends Omit<ButtonProps, 'onClick' | 'loading'> {
    /** What fails in it is told where every failure is. */
    act: () => Promise<unknown>;
}

/** A button for something that takes a moment: whoever presses it twice does it once. */
export function ActButton({ act, ...button }: Props) {
    const acting = useMutation({ mutationFn: act });
    return <Button size="small" {...button} loading={acting.isPending} onClick={() => acting.mutate()} />;
}
