import { Box } from '@chakra-ui/react'
import { Component, type ReactNode } from 'react'
import { words } from '../../languages/language'
import { Button } from './Button'

/** If a page breaks, it says so and offers a way on, instead of going blank in front of a class. */
export class Guard extends Component<{ children: ReactNode }, { broken: boolean }> {
  state = { broken: false }

  static getDerivedStateFromError() {
    return { broken: true }
  }

  render() {
    if (!this.state.broken) return this.props.children
    return (
      <Box role="alert" p="24px">
        <strong>{words().broken}</strong> {words().brokenDetail}{' '}
        <Button onClick={() => window.location.reload()}>{words().loadAgain}</Button>
      </Box>
    )
  }
}
