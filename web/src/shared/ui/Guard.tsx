import { Box } from '@chakra-ui/react'
import { Component, type ReactNode } from 'react'
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
        <strong>This page has broken.</strong> What was confirmed before is safe, and the lesson goes on.{' '}
        <Button onClick={() => window.location.reload()}>Load it again</Button>
      </Box>
    )
  }
}
